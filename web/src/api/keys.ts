import type { QueryClient } from '@tanstack/react-query'
import type { paths } from './schema'

type Path = keyof paths

/** keyOf is the key under which the answer of a path without parameters is kept. */
export const keyOf = (path: Path) => ['get', path]

/** What hangs on the bottles, the pulp and the packs that are there, and on what came of a batch. */
export const shelfPaths: Path[] = [
  '/api/shelf',
  '/api/rhythm',
  '/api/can-make',
  '/api/bottles/{id}/story',
  '/api/reckonings',
  '/api/learned',
  '/api/notes',
  '/api/drinks/{id}/history',
  '/api/batches/{id}',
]

/** What hangs on the record of batches and tastings. */
export const notesPaths: Path[] = [
  '/api/notes',
  '/api/notes/week',
  '/api/drinks/{id}/history',
  '/api/batches/{id}',
  '/api/batches/{id}/proposals',
]

/** refresh has what was asked of these paths asked for anew, with whatever parameters. */
export const refresh = (client: QueryClient, ...stale: Path[]) =>
  client.invalidateQueries({ predicate: (q) => (stale as unknown[]).includes(q.queryKey[1]) })

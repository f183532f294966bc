import { join } from 'node:path'

/** The packages that no first view does without. Of others only what it takes of them comes with it. */
const always = /node_modules\/(react|react-dom|scheduler|@tanstack|openapi-fetch|openapi-react-query|wouter|tinykeys)\//

type Modules = { getModuleInfo: (id: string) => { importedIds: readonly string[] } | null }

/** first are the page's own modules that its entry reaches without fetching more. */
let first: Set<string> | undefined

/**
 * inFirstLoad puts what the first view needs into one file, which packs better than thirty: each of those begins
 * with nothing known of the words of the others.
 */
export function inFirstLoad(id: string, modules: Modules) {
  first ??= reachedFrom(entry, modules)
  return always.test(id) || first.has(id) ? 'first' : null
}

const entry = join(import.meta.dirname, 'src/main.tsx')

function reachedFrom(start: string, modules: Modules) {
  const reached = new Set<string>()
  const open = [start]
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    if (reached.has(id) || id.includes('node_modules')) continue
    reached.add(id)
    open.push(...(modules.getModuleInfo(id)?.importedIds ?? []))
  }
  return reached
}

/**
 * inWords keeps apart what the words of every language need: where the page waits for another language's before it
 * runs, those may not wait for the page.
 */
export const inWords = /src\/copy\/said/

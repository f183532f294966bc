// Writes what a request's fields accept, as the server's document has it, for the forms of
// the page: src/api/limits.ts, a constant a schema, so that a dialog brings only its own.
import { readFileSync, writeFileSync } from 'node:fs'

const { components } = JSON.parse(readFileSync(new URL('../openapi.json', import.meta.url), 'utf8'))
const kept = ['type', 'minimum', 'exclusiveMinimum', 'maximum', 'minLength', 'maxLength', 'pattern', 'enum']

const of = (schema) =>
  Object.fromEntries(
    Object.entries(schema.properties ?? {}).map(([name, field]) => [
      name,
      Object.fromEntries(kept.filter((k) => k in field).map((k) => [k, field[k]])),
    ]),
  )

const forms = process.argv.slice(2)
const written = forms.map((name) => {
  const schema = components.schemas[name]
  if (!schema) throw new Error(`limits: the document has no schema ${name}`)
  return `export const ${name} = ${JSON.stringify(of(schema), undefined, 2)} as const\n`
})
writeFileSync(
  new URL('../src/api/limits.ts', import.meta.url),
  `// Written by web/tools/limits.mjs from openapi.json; change that, not this.\n\n${written.join('\n')}`,
)

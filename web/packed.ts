import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { brotliCompressSync, constants, gzipSync } from 'node:zlib'
import type { Plugin } from 'vite'

/** What is worth packing: text, and of that what is longer than a packet. */
const packable = /\.(js|css|svg|webmanifest|txt)$/
const leastBytes = 1_400

/**
 * packed writes each file of the build also as it goes over the wire, packed as small as can be: brotli for browsers
 * over HTTPS or on this machine, gzip for phones on plain HTTP, which are offered nothing else.
 */
export const packed = (): Plugin => ({
  name: 'packed',
  apply: 'build',
  enforce: 'post',
  closeBundle: {
    order: 'post',
    sequential: true,
    handler() {
      for (const path of filesIn('dist')) {
        if (!packable.test(path) || statSync(path).size < leastBytes) continue
        const data = readFileSync(path)
        writeFileSync(`${path}.br`, brotliCompressSync(data, { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }))
        writeFileSync(`${path}.gz`, gzipSync(data, { level: 9 }))
      }
    },
  },
})

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((e) =>
    e.isDirectory() ? filesIn(join(folder, e.name)) : [join(folder, e.name)],
  )

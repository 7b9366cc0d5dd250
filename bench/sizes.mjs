// What a visitor downloads: the script with every kind, compressed as servers do. Fails over the bound.
import { readFileSync } from 'node:fs'
import { brotliCompressSync, gzipSync } from 'node:zlib'
import { buildWhatIsStale } from '../bin/launch/build.mjs'

const MOST_KB = 8

await buildWhatIsStale(() => {}, ['widget runtime'])
const script = readFileSync(new URL('../packages/widget/dist/strand.js', import.meta.url))
const [gzip, brotli] = [gzipSync(script, { level: 9 }).length, brotliCompressSync(script).length]
const kb = (bytes) => `${(bytes / 1024).toFixed(2)} kB`
console.log(
  `strand.js with headlines: ${kb(script.length)}, gzip ${kb(gzip)}, brotli ${kb(brotli)} (at most ${MOST_KB} kB compressed)`,
)
process.exit(gzip <= MOST_KB * 1024 ? 0 : 1)

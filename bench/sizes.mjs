// What a visitor downloads, compressed as servers do: the loader with its mount, and each behaviour by itself, whatever the
// number of kinds; what stands over pages decides for itself when, and a form reads what is
// typed, and may be larger; what works a sum out comes under attack alone. Fails over the bounds.
import { readdirSync, readFileSync } from 'node:fs'
import { brotliCompressSync, gzipSync } from 'node:zlib'
import { buildWhatIsStale } from '../bin/launch/build.mjs'

const MOST = { loader: 3 * 1024, behaviour: 2 * 1024, 'over.js': 7 * 1024, 'form.js': 7 * 1024, 'proof.js': 3.5 * 1024 }

await buildWhatIsStale(() => {}, ['widget runtime'])
const dist = new URL('../packages/widget/dist/', import.meta.url)
const kb = (bytes) => `${(bytes / 1024).toFixed(2)} kB`
let well = true

function weigh(name, most) {
  const script = readFileSync(new URL(name, dist))
  const gzip = gzipSync(script, { level: 9 }).length
  well &&= gzip <= most
  console.log(
    `${name}: ${kb(script.length)}, gzip ${kb(gzip)}, brotli ${kb(brotliCompressSync(script).length)} (at most ${kb(most)} compressed${gzip <= most ? '' : ': MISSED'})`,
  )
}

weigh('strand.js', MOST.loader)
for (const name of readdirSync(new URL('behaviours/', dist))) weigh(`behaviours/${name}`, MOST[name] ?? MOST.behaviour)
process.exit(well ? 0 : 1)

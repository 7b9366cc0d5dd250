import { spawn } from 'node:child_process'
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { createInterface } from 'node:readline'
import { fileURLToPath } from 'node:url'
import { parseArgs } from 'node:util'
import { readSettings, root } from '../bin/launch/settings.mjs'
import type { Found } from './loop'

// npm run fuzz -- [--seconds 60 | --inputs 6000] [--seed 7]: documents made up from known ones, at everything that reads foreign documents.

const { values } = parseArgs({
  options: { seconds: { type: 'string' }, inputs: { type: 'string' }, seed: { type: 'string' } },
})
/** With a number of inputs, they are the same ones on a slow machine. */
const most = {
  seconds: Number(values.seconds ?? (values.inputs ? 600 : 60)),
  inputs: Number(values.inputs ?? Infinity),
}
const seed = Number(values.seed ?? Math.floor(Math.random() * 1e9))
const say = (line: string) => process.stdout.write(`${line}\n`)

/** Without a word for so long, it hangs. Until its first word it compiles everything, on a machine that may be busy. */
const HANGS_MS = 20_000
const FIRST_WORD_MS = 180_000

const folder = join(readSettings({ forTests: true }).data, 'fuzz')
mkdirSync(folder, { recursive: true })
const current = join(folder, 'current.json')
say(`Fuzzing ${values.inputs ? `${most.inputs} inputs` : `for ${most.seconds} s`} with --seed ${seed}`)

const child = spawn(
  process.execPath,
  ['--import', 'tsx', fileURLToPath(new URL('loop.ts', import.meta.url)), JSON.stringify({ ...most, seed, current })],
  { cwd: root, stdio: ['ignore', 'pipe', 'inherit'] },
)
let runs = 0
let done = false
const found: Found[] = []
let watch = setTimeout(hangs, FIRST_WORD_MS)

/** The document that was being read, as the process wrote it down before it began. */
const readLast = (what: string, ms: number): Found => ({
  ...(JSON.parse(readFileSync(current, 'utf8')) as Found),
  what,
  ms,
})

function hangs(): void {
  found.push(readLast('hangs', HANGS_MS))
  child.kill('SIGKILL')
}

createInterface({ input: child.stdout }).on('line', (line) => {
  clearTimeout(watch)
  watch = setTimeout(hangs, HANGS_MS)
  const told = JSON.parse(line) as Partial<Found> & { runs?: number; limit?: number; done?: boolean }
  if (told.limit) say(`At most ${told.limit} ms for one`)
  if (told.target) found.push(told as Found)
  runs = told.runs ?? runs
  done ||= told.done ?? false
})
child.on('exit', (status) => {
  clearTimeout(watch)
  if (!done && !found.length) found.push(readLast(`ended with ${status}`, 0))
  for (const [at, { target, what, ms, text }] of found.entries()) {
    const file = join(folder, `found-${seed}-${at}.txt`)
    writeFileSync(file, text)
    say(
      `${target}: ${what.split('\n').slice(0, 3).join(' ')} (${Math.round(ms)} ms, ${text.length} characters) ${file}`,
    )
  }
  say(`${runs} inputs, ${found.length} found`)
  process.exit(found.length ? 1 : 0)
})

import { writeFileSync } from 'node:fs'
import { diceOf } from './dice'
import { MOST, mutate } from './mutate'
import { seeds } from './seeds'
import { targets, type Target } from './targets'

// One process that throws made-up documents at everything that reads foreign ones. It says what it found as lines of JSON.

/** Milliseconds for an input of full size; on a slow machine so many times what a plain page of that size takes. */
const MOST_MS = 200
const TIMES_PLAIN = 4
const { seconds, inputs, seed, current } = JSON.parse(process.argv[2]!) as {
  seconds: number
  /** Null for as many as the time allows. */
  inputs: number | null
  seed: number
  current: string
}

let limit = MOST_MS

export interface Found {
  target: string
  what: string
  ms: number
  text: string
}

function timed(target: Target, text: string): { ms: number; error: unknown } {
  const began = performance.now()
  try {
    target.run(text)
    return { ms: performance.now() - began, error: null }
  } catch (error) {
    return { ms: performance.now() - began, error }
  }
}

/** Null where all is well. A slow run is tried again: what was slow once may have waited for the machine. */
function tried(target: Target, text: string): Found | null {
  const { ms, error } = timed(target, text)
  if (error && !target.mayThrow(error))
    return {
      target: target.name,
      what: error instanceof Error ? (error.stack ?? error.message) : String(error),
      ms,
      text,
    }
  const most = limit * (target.passes ?? 1)
  if (ms <= most) return null
  const least = Math.min(ms, ...Array.from({ length: 4 }, () => timed(target, text).ms))
  return least > most ? { target: target.name, what: 'too slow', ms: Math.round(least), text } : null
}

/** For whoever waits for this process: what it was reading when it came to its end. */
const writeDown = (target: Target, text: string) =>
  writeFileSync(current, JSON.stringify({ target: target.name, text }))

const dice = diceOf(seed)
const known = seeds()
// Compiled before it is timed.
for (const text of known)
  for (const target of targets) {
    writeDown(target, text)
    timed(target, text)
  }
const plainPage = '<p>x</p>'.repeat(MOST / 8)
const verify = targets.find(({ name }) => name === 'verify')!
const plain = Math.min(...Array.from({ length: 20 }, () => timed(verify, plainPage).ms))
limit = Math.max(MOST_MS, TIMES_PLAIN * plain)
process.stdout.write(`${JSON.stringify({ runs: 0, limit: Math.round(limit) })}\n`)

const until = Date.now() + seconds * 1000
let runs = 0
for (let told = 0; Date.now() < until && runs < (inputs ?? Infinity); runs++) {
  const target = dice.pick(targets)
  const text = mutate(dice.pick(known), dice.pick(known), dice).slice(0, MOST)
  writeDown(target, text)
  const found = tried(target, text)
  if (found) process.stdout.write(`${JSON.stringify(found)}\n`)
  if (Date.now() - told > 1000) {
    told = Date.now()
    process.stdout.write(`${JSON.stringify({ runs })}\n`)
  }
}
process.stdout.write(`${JSON.stringify({ runs, done: true })}\n`)

import { verify } from '@pebblestrand/core/verify'
import { cases } from '../packages/core/corpus/corpus'

// Pages of the corpus, changed at random, through the whole verdict: none may make it throw, whatever is in it. Says how many
// did; `--count N` and `--seed N` set how many and which.

const option = (name: string, otherwise: number) => {
  const at = process.argv.indexOf(`--${name}`)
  return at < 0 ? otherwise : Number(process.argv[at + 1])
}
const count = option('count', 200_000)

/** mulberry32, public domain. */
function dice(seed: number) {
  return () => {
    seed = (seed + 0x6d2b79f5) | 0
    let t = Math.imul(seed ^ (seed >>> 15), 1 | seed)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}
const roll = dice(option('seed', 8))
const below = (n: number) => Math.floor(roll() * n)

const pieces =
  '< > </ " \' = & &amp; <!-- --> <script> </script> <style> .a{float:left} <template> <noscript> <table> <tr><td> <frameset> <iframe srcdoc="<div data-pebblestrand=x>"> <svg> <math> <base href="//x"> <main> <aside> <footer> \u0000 \ud800'.split(
    ' ',
  )

function mutate(html: string): string {
  let text = html
  for (let times = 1 + below(4); times > 0; times--) {
    const at = below(text.length + 1)
    const length = below(40)
    const act = below(4)
    if (act === 0) text = text.slice(0, at) + text.slice(at + length)
    else if (act === 1) text = text.slice(0, at) + pieces[below(pieces.length)]! + text.slice(at)
    else if (act === 2) text = text.slice(0, at) + text.slice(at, at + length).repeat(2 + below(3)) + text.slice(at)
    else text = text.slice(0, at) + text.slice(below(text.length + 1)).slice(0, 200) + text.slice(at)
  }
  return text
}

const all = cases()
const began = performance.now()
let [threw, slowest] = [0, 0]
for (let i = 0; i < count; i++) {
  const { name, plan, looks } = all[i % all.length]!
  const changed = looks.map((look) => ({ ...look, html: mutate(look.html) }))
  const before = performance.now()
  try {
    verify(plan, changed)
  } catch (error) {
    if (threw++ < 5)
      console.log(`${name}: ${error instanceof Error ? error.stack : error}\n${JSON.stringify(changed[0]!.html)}`)
  }
  slowest = Math.max(slowest, performance.now() - before)
}
console.log(
  `${count} pages, ${threw} threw, ${Math.round(slowest)} ms for the slowest, ${Math.round((performance.now() - began) / 1000)} s`,
)
process.exit(threw ? 1 : 0)

// @vitest-environment happy-dom
import { execFileSync } from 'node:child_process'
import { join } from 'node:path'
import type { MadeUpVisitor, Placed, Step } from '@pebblestrand/core/presence'
import { encounters, line, rehearsed } from '@pebblestrand/core/presence/testing'
import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Standing } from './standing'
import type * as turns from './turns'

type Turns = typeof turns

// What decides on a client's page against the rehearsal of the same visit, second by second, on a clock of the test's own.

/** With those in a browser (e2e/made-up-visits.spec.ts) a thousand. */
const VISITS = Number(process.env.PEBBLESTRAND_VISITS ?? 900)
/** The same ones each time, where nothing else is said. */
const SEED = Number(process.env.PEBBLESTRAND_VISITS_SEED ?? 11)

const { happyDOM } = window as unknown as {
  happyDOM: { setURL(url: string): void; setInnerWidth(px: number): void }
}

/** The module as a page loads it, bundled once: run anew for each page, it knows nothing of the page before. */
const bundled = execFileSync(
  process.execPath,
  [
    '--input-type=module',
    '-e',
    `import { build } from 'esbuild'
     const options = { bundle: true, write: false, format: 'iife', globalName: 'turns', target: 'es2020', logLevel: 'error' }
     const { outputFiles } = await build({ entryPoints: [process.argv[1]], ...options })
     process.stdout.write(outputFiles[0].text)`,
    join(import.meta.dirname, 'turns.ts'),
  ],
  { encoding: 'utf8', maxBuffer: 1 << 24 },
)
const loadTurns = new Function(`${bundled}; return turns`) as () => Turns

/** What stands there, as far as turns are concerned. */
class Fake {
  readonly element = document.body.appendChild(document.createElement('div'))
  isOpen = false
  open = () => (this.isOpen = true)
  close = () => (this.isOpen = false)
}

interface Page {
  path: string
  query: string
  fragment: string
  stays: number
  steps: readonly Step[]
}

function arrive({ path, query, fragment }: Page, device: string): void {
  const search = query && `?${query}`
  happyDOM.setURL(`https://site.example${path}${search}${fragment && `#${fragment}`}`)
  happyDOM.setInnerWidth({ phone: 390, tablet: 800, desktop: 1280 }[device]!)
  Object.defineProperty(document.documentElement, 'scrollHeight', { value: 1100, configurable: true })
  Object.defineProperty(document.documentElement, 'clientHeight', { value: 100, configurable: true })
  Object.defineProperty(window, 'scrollY', { value: 0, configurable: true, writable: true })
  document.body.innerHTML = '<button class="one">One</button><button class="two">Two</button>'
}

function act(step: Step): void {
  if (step.does === 'scroll') {
    // Nobody scrolls back in these visits: what was reached counts.
    ;(window as { scrollY: number }).scrollY = Math.max(scrollY, step.share * 10)
    dispatchEvent(new Event('scroll'))
  } else if (step.does === 'click') document.querySelector<HTMLElement>(step.selector)!.click()
  // Whoever closes something has moved to its button.
  else if (step.does === 'move' || step.does === 'close' || step.does === 'answer')
    document.dispatchEvent(new Event('pointermove'))
  else if (step.does === 'leave')
    document.documentElement.dispatchEvent(Object.assign(new Event('mouseleave'), { clientY: -1 }))
}

/** Listens for as long as a page lasts: gives what takes away all that was added to it meanwhile. */
function onePage(): () => void {
  const added: (() => void)[] = []
  const undo = [window, document, document.documentElement].map((target) => {
    const add = target.addEventListener.bind(target)
    target.addEventListener = (name: string, does: EventListener, how?: AddEventListenerOptions) => {
      add(name, does, how)
      added.push(() => target.removeEventListener(name, does, how))
    }
    return () => (target.addEventListener = add as never)
  })
  return () => [...undo, ...added].forEach((one) => one())
}

/** From one timer to the next, with what follows from each, until so many ms have gone by. */
async function passTime(ms: number): Promise<void> {
  let isOver = false
  setTimeout(() => (isOver = true), ms)
  while (!isOver) {
    vi.advanceTimersToNextTimer()
    for (let i = 0; i < 5; i++) await Promise.resolve()
  }
}

/** Plays a visit on a page as it is played for real: everything but the boxes themselves. */
async function playForReal(candidates: readonly Placed[], made: MadeUpVisitor): Promise<string[]> {
  const happened: string[] = []
  localStorage.clear()
  Object.defineProperty(navigator, 'languages', { value: made.visitor.languages, configurable: true })
  for (const [visit, { afterDays, pages }] of made.visits.entries()) {
    let at = made.begins.getTime() + afterDays * 86_400_000
    for (const [number, page] of pages.entries()) {
      vi.setSystemTime(at)
      arrive(page, made.visitor.device)
      const leave = onePage()
      const { answer, close, join } = loadTurns()
      const standings = new Map<string, Fake>()
      const since = new Map<string, number>()
      const seconds = () => Math.floor((Date.now() - at) / 1000)
      const say = (what: string, id: string) => happened.push(line(visit, number, seconds(), id, what))
      /** The one opened last stands last. */
      const opened: string[] = []
      const openOnes = () => opened.filter((id) => standings.get(id)!.isOpen)
      // Made before anything of ours, so that at each second it comes first, as a visitor does.
      const visitor = setInterval(() => {
        const now = seconds()
        for (const step of page.steps.filter((one) => Math.floor(one.at) === now)) {
          const last = openOnes().at(-1)
          if (step.does === 'close' && last) close(last)
          if (step.does === 'answer' && last) answer(last, 'Yes', true)
          act(step)
        }
        for (const id of openOnes()) if (made.patience > 0 && now - since.get(id)! >= made.patience) close(id)
      }, 1000)
      for (const { id, rules } of candidates) {
        const standing = new Fake()
        standings.set(id, standing)
        standing.element.addEventListener('pebblestrand:shown', (event) => {
          since.set(id, (event as CustomEvent<{ asked: boolean }>).detail.asked ? Infinity : seconds())
          opened.push(...opened.splice(0).filter((one) => one !== id), id)
          say('shows', id)
        })
        standing.element.addEventListener('pebblestrand:closed', () => say('closed', id))
        standing.element.addEventListener('pebblestrand:pressed', () => say('answered', id))
        join({
          id,
          widget: '',
          rules,
          timeZone: made.timeZone,
          standing: standing as unknown as Standing,
          origin: 'https://strand.example',
        })
      }
      await passTime(page.stays * 1000 + 10)
      clearInterval(visitor)
      vi.clearAllTimers()
      leave()
      at += page.stays * 1000
    }
  }
  return happened
}

beforeEach(() => {
  vi.useFakeTimers()
  vi.stubGlobal(
    'IntersectionObserver',
    class {
      observe(): void {}
    },
  )
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('on a page', () => {
  it('shows and closes what the rehearsal of the visit says, at the same seconds', async () => {
    await fc.assert(
      fc.asyncProperty(encounters, async ({ candidates, visitor }) => {
        expect(await playForReal(candidates, visitor)).toEqual(rehearsed(candidates, visitor))
      }),
      { numRuns: VISITS, seed: SEED },
    )
  }, 240_000)
})

import { createRequire } from 'node:module'
import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'

const source = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

interface Violation {
  id: string
  help: string
  nodes: { target: string[]; failureSummary: string }[]
}

/** WCAG 2.2 A and AA, and axe's own best practices. */
const allRules = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']
/** Those that colours decide: all that another theme can break. */
export const colourRules = ['color-contrast', 'link-in-text-block']

/** Waits for everything that fades or slides, within widgets too: half faded a text has half its contrast. */
async function standStill(page: Page): Promise<void> {
  await page.evaluate(async () => {
    const shadows = [...document.querySelectorAll('*')].flatMap(({ shadowRoot }) => shadowRoot ?? [])
    const moving = new Set([document, ...shadows].flatMap((root) => root.getAnimations()))
    const ending = [...moving].filter(
      (animation) => animation.playState === 'running' && animation.effect?.getComputedTiming().endTime !== Infinity,
    )
    await Promise.all(ending.map(({ finished }) => finished.catch(() => undefined)))
  })
}

/** What axe finds by some rules or tags of rules; the widget's frame is a document of its own and is looked at too. */
export async function violations(page: Page, within = ':root', rules = allRules): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(source)
  await standStill(page)
  const found = await page.evaluate(
    async ([selector, runOnly]) => {
      const { axe } = window as unknown as {
        axe: { run(context: unknown, options: unknown): Promise<{ violations: Violation[] }> }
      }
      return (
        await axe.run(selector, {
          runOnly,
          iframes: false,
          // What passes is not described node by node, which takes most of the time.
          resultTypes: ['violations'],
          preload: false,
        })
      ).violations
    },
    [within, rules] as const,
  )
  return found.flatMap((v) =>
    v.nodes.map((n) => `${v.id}: ${n.target.join(' ')} — ${n.failureSummary.replace(/\s+/g, ' ')}`),
  )
}

import type { Browser, Frame, Page, Request } from '@playwright/test'
import { methods, type Circumstances, type Ending, type MethodId, type Outcome } from '@pebblestrand/core/methods'
import type { EditorBox } from '@pebblestrand/core/platforms'
import { readPolicies, refusals } from '@pebblestrand/core/policy'

/**
 * What a visitor's browser shows of some installs on a page, by public id.
 * @param from another page of the site, from which a link leads to that one without loading it
 */
export async function seenBy(
  browser: Browser,
  address: string,
  ids: readonly string[],
  from?: string,
): Promise<Map<string, Ending>> {
  // As high as the page: frames that wait until they come near are near at once. Coarse, or so large a page takes long to draw.
  const context = await browser.newContext({ viewport: { width: 1280, height: 8000 }, deviceScaleFactor: 0.25 })
  const visitor = await context.newPage()
  const quiet = quietOf(visitor)
  const refused: string[] = []
  await visitor.exposeFunction('pebbleRefused', (directive: string) => void refused.push(directive))
  await visitor.addInitScript(() =>
    addEventListener('securitypolicyviolation', (event) =>
      (window as unknown as { pebbleRefused(d: string): void }).pebbleRefused(event.effectiveDirective),
    ),
  )
  try {
    await visitor.goto(from ?? address, { waitUntil: 'load' })
    if (from) {
      await quiet()
      await visitor.locator(`a[data-soft][href="${new URL(address).pathname}"]`).click()
      await visitor.waitForURL(address)
    }
    await quiet()
    const endings = await Promise.all(visitor.frames().map((frame) => endingsIn(frame, ids)))
    // What a rule stops is there all the same, as a frame or an element of ours.
    const there = await visitor.evaluate(
      (wanted) =>
        wanted.filter((id) =>
          document.querySelector(
            `[data-pebblestrand="${id}"], iframe[src*="/f/${id}"], iframe[src*="/v/${id}"], [data-pebblestrand-opens="${id}"], img[src*="/r1/${id}"]`,
          ),
        ),
      [...ids],
    )
    return new Map(
      ids.map((id) => {
        const best = BEST_FIRST.find((one) => endings.some((of) => of.get(id) === one)) ?? 'nothing'
        const isStopped = refused.length > 0 && there.includes(id)
        return [id, isStopped && best !== 'shown' && best !== 'code' ? 'blocked' : best]
      }),
    )
  } finally {
    await context.close()
  }
}

/** Waits until nothing has been asked for in half a second: also after a page was changed without loading, in frames of its own too. */
function quietOf(page: Page): () => Promise<void> {
  const open = new Set<Request>()
  let changedAt = Date.now()
  const note = (change: (request: Request) => void) => (request: Request) => {
    change(request)
    changedAt = Date.now()
  }
  page.on(
    'request',
    note((request) => open.add(request)),
  )
  const isDone = note((request) => open.delete(request))
  page.on('requestfinished', isDone)
  page.on('requestfailed', isDone)
  return async () => {
    changedAt = Date.now()
    const until = changedAt + 15_000
    while ((open.size > 0 || Date.now() - changedAt < 500) && Date.now() < until) await page.waitForTimeout(50)
  }
}

const BEST_FIRST = ['shown', 'link', 'code', 'nothing'] as const

/** What one of the page's documents shows of each install. */
async function endingsIn(frame: Frame, ids: readonly string[]): Promise<Map<string, Ending>> {
  const own = /\/(?:f|v)\/([^/?#]+)/.exec(frame.url())?.[1] ?? ''
  const found = await frame
    .evaluate(
      async ([wanted, ownId]) => {
        /** Whether a press opens it, with its content; where nothing takes the press, the link is not followed. */
        const opens = async (opener: Element) => {
          let isTaken = false
          const last = (event: Event) => {
            isTaken = event.defaultPrevented
            event.preventDefault()
          }
          addEventListener('click', last, { once: true })
          opener.dispatchEvent(new MouseEvent('click', { bubbles: true, cancelable: true }))
          for (const until = Date.now() + 4000; isTaken && Date.now() < until;) {
            for (const host of document.body.children) {
              const dialog = host.shadowRoot?.querySelector('dialog[open]') as HTMLDialogElement | null | undefined
              const said = dialog?.querySelector('.in > div')?.shadowRoot?.textContent ?? ''
              if (said.trim().length > 20) return (dialog!.close(), true)
            }
            await new Promise((later) => setTimeout(later, 50))
          }
          return false
        }
        const endingOf = async (id: string) => {
          const visible = (text: string | null | undefined) => Boolean(text && text.trim().length > 20)
          if (id === ownId) return visible(document.getElementById('widget')?.innerText) ? 'shown' : 'nothing'
          const element = document.querySelector(`[data-pebblestrand="${id}"]`)
          if (visible(element?.shadowRoot?.textContent)) return 'shown'
          const image = document.querySelector<HTMLImageElement>(`img[src*="/r1/${id}"]`)
          if (image?.complete && image.naturalWidth > 0) return 'shown'
          const opener = document.querySelector(`[data-pebblestrand-opens="${id}"]`)
          if (opener && (await opens(opener))) return 'shown'
          const link = [...document.querySelectorAll('a')].find((a) => a.href.includes(`/v/${id}`))
          // An address as a link shows itself; as words it shows no link.
          if (link && link.offsetHeight > 0) return 'link'
          return (document.body?.innerText ?? '').includes(id) ? 'code' : 'nothing'
        }
        const found: string[] = []
        for (const id of wanted) found.push(await endingOf(id)) // one dialog at a time
        return found
      },
      [[...ids], own] as const,
    )
    .catch(() => ids.map(() => 'nothing')) // a frame that was refused has no document of its own
  return new Map(ids.map((id, at) => [id, found[at] as Ending]))
}

/** What the methods foretell of a box, with the policy that the page was served with. */
export function foretold(
  box: EditorBox,
  method: MethodId,
  about: {
    origin: string
    page: string
    region: string
    policy: string
    connector?: boolean
    tag?: boolean
    navigation?: Circumstances['navigation']
  },
): Outcome {
  const policies = readPolicies(about.policy)
  const circumstances: Circumstances = {
    origin: about.origin,
    region: about.region,
    behaviours: [],
    pictured: true,
    navigation: about.navigation ?? 'loads',
    connector: about.connector ?? false,
    tag: about.tag ? 'confirmed' : 'none',
    selector: about.tag ?? false,
    refused(needs) {
      const [first] = refusals(policies, needs, new URL(about.page))
      return first ? { problem: first.directive, rule: first.rule } : null
    },
  }
  return methods[method].foretell(box, circumstances)
}

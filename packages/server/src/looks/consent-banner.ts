import { MARK } from '@pebblestrand/core/wire'
import type { Page } from 'playwright-core'

/** By one of these, in a language of the widgets, a banner is told that asks for the visitor’s agreement. Common practice in the trade. */
const WORDS =
  'cookie|consent|einwilligung|zustimm|galleta|toestemming|samtycke|samtykke|zgod|souhlas|eväste|çerez|ευάγγελ|συναίνεσ|згод|同意|موافق'

export interface ConsentBanner {
  /** What it begins with, at most 60 characters. */
  text: string
  /** The button of it that something of ours lies over; null where all can be pressed. */
  covered: string | null
}

/**
 * The banner of a page that asks for agreement; null where there is none.
 * @param id public id of what may lie over it
 */
export const consentBanner = (page: Page, id = ''): Promise<ConsentBanner | null> =>
  page.evaluate(findBanner, [WORDS, MARK, id] as const)

/** In the page. */
function findBanner([words, mark, id]: readonly [string, string, string]): ConsentBanner | null {
  const asks = new RegExp(words, 'i')
  const textOf = ({ textContent }: Element, most: number) =>
    (textContent ?? '').replace(/\s+/g, ' ').trim().slice(0, most)
  const banner = [...document.querySelectorAll<HTMLElement>('body *')].slice(0, 5000).find((element) => {
    const { position } = getComputedStyle(element)
    return (
      (position === 'fixed' || position === 'sticky') &&
      asks.test(element.textContent ?? '') &&
      element.querySelector('button, a, input') !== null &&
      !element.closest(`[${mark}]`) &&
      element.getBoundingClientRect().height > 20
    )
  })
  if (!banner) return null
  const own = id ? document.querySelector(`[${mark}="${CSS.escape(id)}"]`) : null
  const isUnderOurs = (button: Element) => {
    const { left, top, width, height } = button.getBoundingClientRect()
    const there = width && height ? document.elementFromPoint(left + width / 2, top + height / 2) : null
    return Boolean(own && there && (there === own || own.contains(there)))
  }
  const covered = [...banner.querySelectorAll('button, a, input')].find(isUnderOurs)
  return { text: textOf(banner, 60), covered: covered ? textOf(covered, 40) : null }
}

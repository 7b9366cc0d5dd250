import { escapeAttribute, escapeText } from '../../markup'
import { paragraph } from '../../rich-text'
import { instantOf } from '../../zoned-time'
import { formGroup, messageGroup, overPageGroup } from '../groups'
import type { Kind, View } from '../kind'
import { usualAround } from '../spoken'
import { edgeBarCss } from './css'
import { EdgeBarSettings } from './settings'

const { button } = messageGroup

/** Until when, as a date; the behaviour counts. */
function countdownHtml({ settings: { countdown, locale }, context }: View<EdgeBarSettings>): string {
  if (!countdown) return ''
  const { timeZone } = context.around ?? usualAround
  const until = instantOf(countdown, timeZone)
  const date = new Intl.DateTimeFormat(locale, { dateStyle: 'long', timeStyle: 'short', timeZone }).format(until)
  return `<p class="cd" part="countdown"><time data-until datetime="${escapeAttribute(until.toISOString())}">${escapeText(date)}</time></p>`
}

export const edgeBar: Kind<EdgeBarSettings> = {
  id: 'edge-bar',
  name: 'Edge bar',
  purpose: 'One line at the top or the bottom of the window, with a button or a countdown.',
  version: 1,
  upgrade: {},
  settings: EdgeBarSettings,
  starters: [
    {
      id: 'line',
      name: 'One line',
      settings: {
        body: [paragraph('The bridge is closed on Thursday morning.')],
        theme: 'dark',
      },
    },
    {
      id: 'button',
      name: 'Line and button',
      settings: {
        body: [paragraph('Tickets for the regatta are out.')],
        buttons: [button('Get yours', 'address', '/tickets')],
        theme: 'light',
        shadow: 'soft',
      },
    },
    {
      id: 'countdown',
      name: 'Countdown',
      settings: {
        heading: 'The regatta begins in',
        countdown: '2027-06-19T10:00',
        buttons: [button('Put it in the calendar', 'date')],
        edge: 'bottom',
        enterFrom: 'bottom',
        theme: 'dark',
      },
    },
  ],
  ...overPageGroup.facets<EdgeBarSettings>({
    tag: 'section',
    className: 'ov-bar',
    css: edgeBarCss,
    more: countdownHtml,
    // One that lies at the end of the page is a part of it already.
    push: ({ room, stays, edge }) => (room === 'push' && (stays === 'stays' || edge === 'top') ? edge : undefined),
  }),
  parts: ['heading', 'text', 'button', 'meta', 'countdown', 'close', ...formGroup.parts],
}

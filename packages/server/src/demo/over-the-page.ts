import type { Settings } from '@pebblestrand/core/kinds'

/** What of the demo stands over pages. Times are on the sites' clocks; `now` is when the demo is made. */
export interface OverThePage {
  name: string
  kind: string
  starter: string
  site: string
  /** Of one page; left out: of all. */
  page?: string
  settings: Settings
}

const button = (words: string, goes: string, more: object = {}) => ({
  words,
  goes,
  to: '',
  tab: 'same',
  title: '',
  start: '',
  end: '',
  where: '',
  widget: '',
  ...more,
})
const words = (text: string) => [{ is: 'paragraph', runs: [{ text }] }]

/** A day so many days from now, as calendars write it. */
const dayIn = (now: Date, days: number) => new Date(now.getTime() + days * 86_400_000).toISOString().slice(0, 10)

export function overThePage(now: Date): OverThePage[] {
  const sunday = dayIn(now, (7 - now.getUTCDay()) % 7 || 7)
  return [
    {
      name: 'Regatta bar',
      kind: 'edge-bar',
      starter: 'countdown',
      site: 'gullhaven',
      settings: {
        heading: '',
        body: words('Extra boats to the regatta. It begins in'),
        countdown: `${sunday}T10:00`,
        buttons: [
          button('Put it in the calendar', 'date', {
            title: 'Skerrow regatta',
            start: `${sunday}T10:00`,
            end: `${sunday}T17:00`,
            where: 'Inner sound',
          }),
        ],
        edge: 'top',
        enterFrom: 'top',
        until: `${sunday}T18:00`,
        devices: ['phone', 'tablet', 'desktop'],
        beside: true,
        theme: 'dark',
      },
    },
    {
      name: 'Service voucher',
      kind: 'centre-dialog',
      starter: 'offer',
      site: 'pollard-cycles',
      settings: {
        heading: 'A free hub service with your winter check',
        body: [
          {
            is: 'paragraph',
            runs: [
              { text: 'Bring your bicycle before the ' },
              { text: 'end of the month', bold: true },
              { text: ' and say the word on the way in: ' },
              { text: 'crosswind', bold: true },
              { text: '.' },
            ],
          },
        ],
        buttons: [button('Book a check', 'address', { to: '/workshop' }), button('Not now', 'close')],
        small: 'One a bicycle. Not together with other offers.',
        triggers: [{ on: 'seconds', seconds: 20 }],
        accent: '#b8472a',
        button: '#b8472a',
        priority: 7,
        visits: 'first',
      },
    },
    {
      name: 'Hire in the winter',
      kind: 'corner-card',
      starter: 'tip',
      site: 'pollard-cycles',
      settings: {
        heading: 'Open all winter',
        body: words('Hire from Thursday to Sunday. Studded tyres on request.'),
        buttons: [button('Prices', 'address', { to: '/hire' })],
        triggers: [{ on: 'scrolled', share: 40 }],
        priority: 4,
      },
    },
    {
      name: 'Clear Friday',
      kind: 'corner-card',
      starter: 'tip',
      site: 'observatory',
      settings: {
        heading: 'Clear sky this Friday',
        body: words('The dome is open from nine until midnight. Bring a scarf, and somebody small.'),
        buttons: [button('How to get there', 'address', { to: '/visit' })],
        days: ['5'],
        hoursFrom: '12:00',
        hoursUntil: '23:30',
        triggers: [{ on: 'scrolled', share: 25 }],
        theme: 'dark',
        devices: ['phone', 'tablet', 'desktop'],
      },
    },
    {
      name: 'Forty knots',
      kind: 'full-cover',
      starter: 'welcome',
      site: 'windle-knot',
      page: '/',
      settings: {
        heading: 'Forty knots, and the hands that tied them',
        body: words('Our new exhibition, upstairs until the end of March.'),
        buttons: [button('Plan a visit', 'address', { to: '/visit' }), button('On to the museum', 'close')],
        opacity: 95,
      },
    },
  ]
}

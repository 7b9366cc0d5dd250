import type { DeliverySettings, Responses } from '@pebblestrand/core/forms'
import type { Settings } from '@pebblestrand/core/kinds'

/** A form of the demo: where it stands, what is decided about it, and what visitors wrote. */
export interface WrittenForm {
  name: string
  starter: string
  settings: Settings
  site: string
  path: string
  delivery: Partial<DeliverySettings>
  codes?: string[]
  /** Hours ago, and what was sent; `held` where a field was filled in that nobody sees. */
  written: { ago: number; responses: Responses; from?: string; held?: true; state?: 'done' }[]
}

const words = (text: string) => [{ is: 'paragraph', runs: [{ text }] }]
const day = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10)

export const writtenForms = (): WrittenForm[] => [
  {
    name: 'Ask for a table',
    starter: 'table',
    settings: { heading: 'Ask for a table under the trees' },
    site: 'brackenfold',
    path: '/table',
    delivery: { onClientPage: true },
    written: [
      {
        ago: 2,
        from: 'isle-search.example',
        responses: {
          day: day(3),
          hour: '13:00',
          guests: 4,
          name: 'Runa Thorne',
          email: 'runa@visitor.example',
          wishes: 'One of us cannot eat nuts.',
        },
      },
      {
        ago: 20,
        responses: {
          day: day(8),
          hour: '19:00',
          guests: 2,
          children: true,
          'high-chairs': 1,
          name: 'Aled Marsh',
          email: 'aled@visitor.example',
          telephone: '01632 960 144',
        },
      },
      {
        ago: 50,
        state: 'done',
        responses: { day: day(1), hour: '18:00', guests: 6, name: 'Ottilie Crane', email: 'ottilie@visitor.example' },
      },
      {
        ago: 5,
        held: true,
        responses: { day: day(2), hour: '12:00', guests: 1, name: 'WIN BIG', email: 'offers@cheap-offers.example' },
      },
    ],
  },
  {
    name: 'Words before the concert',
    starter: 'voucher',
    settings: {
      heading: 'The words, before the concert',
      body: words('Where may we send them? The first to write get a programme for nothing.'),
      thanks: words('They are on their way to you.'),
    },
    site: 'ninefold-choir',
    path: '/letters',
    delivery: {
      coupon: 'list',
      replySubject: 'The words for the winter concert',
      replyText:
        'Thank you for writing.\n\nYour code for a programme is {coupon}. Show it at the door.\n\nNinefold Choir',
    },
    codes: Array.from({ length: 21 }, (_, n) => `NINEFOLD-${String(n + 1).padStart(3, '0')}`),
    written: [
      { ago: 9, responses: { email: 'perrin@visitor.example', consent: true } },
      { ago: 30, responses: { email: 'maud@visitor.example', consent: true } },
    ],
  },
  {
    name: 'Which evening',
    starter: 'poll',
    settings: {},
    site: 'observatory',
    path: '/your-word',
    delivery: {},
    written: ['friday', 'saturday', 'friday', 'thursday', 'friday', 'saturday'].map((choice, i) => ({
      ago: 4 + i * 7,
      responses: { choice },
      state: 'done' as const,
    })),
  },
  {
    // What it is told to nobody hears: the program that took the answers was moved.
    name: 'Groups write to us',
    starter: 'call-back',
    settings: { heading: 'Bring your group' },
    site: 'windle-knot',
    path: '/groups',
    delivery: { noteClient: 'none', webhook: 'http://guest-ledger.localhost:{port}/entries', testEvery: 1 },
    written: [
      {
        ago: 26,
        responses: {
          name: 'Third form of Gull Street school',
          telephone: '01632 960 188',
          when: 'morning',
          about: 'Twenty-two children, all of whom can tie a reef knot.',
        },
      },
    ],
  },
]

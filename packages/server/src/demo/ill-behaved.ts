import type { Settings } from '@pebblestrand/core/kinds'

/** Where everything over a page goes wrong that can: on one page, so that one look tells it all. */
export const ILL = { site: 'observatory', path: '/talks' }

interface IllBehaved {
  name: string
  kind: string
  starter: string
  settings: Settings
  /** What of the page is to blame, as its editor wrote it; `id` is the install's. */
  page(id: string): string
}

const words = (text: string) => [{ is: 'paragraph', runs: [{ text }] }]

export const illBehaved: IllBehaved[] = [
  {
    // Its selector fits nothing on the page.
    name: 'Talks to come',
    kind: 'corner-card',
    starter: 'tip',
    settings: { heading: 'Talks to come', triggers: [{ on: 'reached', selector: '#programme' }], beside: true },
    page: () => '',
  },
  {
    // A script of the site opens it on every page, whatever its rules say.
    name: 'Late talk',
    kind: 'corner-card',
    starter: 'plain',
    settings: { body: words('Tonight’s talk begins half an hour later.'), triggers: [{ on: 'arrival' }], beside: true },
    page: (id) => `<script>addEventListener('load', () => pebblestrand.show(${JSON.stringify(id)}))</script>`,
  },
  {
    // The page keeps keys to itself while this has the focus.
    name: 'For members',
    kind: 'centre-dialog',
    starter: 'notice',
    settings: {
      heading: 'For members',
      body: words('Your card opens the dome on Tuesdays.'),
      triggers: [{ on: 'fragment', name: 'members' }],
    },
    page: (id) =>
      `<script>addEventListener('keydown', (event) => { if (document.activeElement?.dataset.pebblestrand === ${JSON.stringify(id)}) event.preventDefault() }, true)</script>`,
  },
  {
    // It lies where the site asks for the visitor's agreement.
    name: 'Dome bar',
    kind: 'edge-bar',
    starter: 'line',
    settings: {
      body: words('The dome is open tonight.'),
      edge: 'bottom',
      room: 'over',
      beside: true,
      triggers: [{ on: 'seconds', seconds: 4 }],
    },
    page: () =>
      '<div style="position:fixed;inset:auto 0 0 0;height:34px;background:#ddd;color:#222">This site keeps cookies. <button type="button">Agree</button></div>',
  },
]

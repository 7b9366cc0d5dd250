import type { MadeUpVisit } from '@pebblestrand/core/presence'

export type MadeUpReturn = MadeUpVisit['visits'][number]
export type MadeUpPage = MadeUpReturn['pages'][number]
export type MadeUpStep = MadeUpPage['steps'][number]

/** A page of the site, as it can be chosen for a visit. */
export interface KnownPage {
  title: string
  path: string
}

/** What a step is called. */
export const stepWords: Record<MadeUpStep['does'], string> = {
  scroll: 'scrolls',
  reach: 'sees',
  click: 'presses',
  leave: 'moves to leave',
  move: 'moves the pointer',
  call: 'sets off a script’s call',
  close: 'closes it',
  answer: 'presses its button',
}

/** A step of a kind at some second, with what is usual of it. */
export const begun = (kind: MadeUpStep['does'], at: number): MadeUpStep =>
  kind === 'scroll'
    ? { at, does: kind, share: 50 }
    : kind === 'reach' || kind === 'click'
      ? { at, does: kind, selector: '#' }
      : { at, does: kind }

/** A stay on the first page there is. */
export const blankPage = (pages: readonly KnownPage[]): MadeUpPage => ({
  path: pages[0]?.path ?? '/',
  query: '',
  fragment: '',
  referrer: '',
  stays: 30,
  steps: [{ at: 10, does: 'scroll', share: 50 }],
})

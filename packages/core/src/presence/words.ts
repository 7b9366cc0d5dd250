import type { Happening, Outcome } from './rehearse'
import type { Trigger } from './rules'

type Says = { [On in Trigger['on']]: (trigger: Extract<Trigger, { on: On }>) => string }

const says: Says = {
  arrival: () => 'as soon as they arrive',
  seconds: ({ seconds }) => `after ${seconds} s on the page`,
  scrolled: ({ share }) => `when ${share} % of the page was scrolled`,
  reached: ({ selector }) => `when ${selector} comes into sight`,
  click: ({ selector }) => `when ${selector} is pressed`,
  leaving: () => 'when they are about to leave',
  idle: ({ seconds }) => `when nothing was done for ${seconds} s`,
  call: () => 'when a script of the site asks',
  fragment: ({ name }) => `where the address ends in #${name}`,
}

/** A trigger as the brief says it. */
export const triggerWords = (trigger: Trigger): string => says[trigger.on](trigger as never)

/** Triggers by what they are, for choosing. */
export const triggerNames: Record<Trigger['on'], string> = {
  seconds: 'after some seconds on the page',
  scrolled: 'when a share of the page was scrolled',
  reached: 'when something comes into sight',
  leaving: 'when they are about to leave',
  idle: 'when nothing was done for a while',
  arrival: 'as soon as they arrive',
  click: 'when something is pressed',
  fragment: 'where the address ends in #…',
  call: 'when a script of the site asks',
}

/** What kept something from showing, as words that follow its name. */
export const whyWords: Record<NonNullable<Outcome['why']>, string> = {
  elsewhere: 'is on none of these pages',
  page: 'is not for this page',
  device: 'is not for this device',
  language: 'is not for this language',
  country: 'is not for this country',
  visits: 'is not for this visit, first or later',
  campaign: 'wants a campaign in the address',
  'came-from': 'wants visitors from elsewhere',
  'not-yet': 'has not begun',
  over: 'is over',
  hours: 'is not for this hour or day',
  waits: 'was never set off',
  'nothing-done': 'waits until anything was done',
  'shown-here': 'was shown on this page already',
  'closed-lately': 'was closed not long ago',
  answered: 'was answered',
  'shown-this-visit': 'was shown often enough in this visit',
  'shown-in-all': 'was shown often enough in all',
  'another-is-open': 'waits while another is open',
  pause: 'waits: another was closed a moment ago',
  'gives-way': 'gives way to another',
}

/** What happened, as words that follow its name. */
export const happeningWords = (one: Happening): string =>
  one.what === 'held'
    ? whyWords[one.why]
    : {
        shows: 'appears',
        closed: 'is closed',
        answered: 'is answered',
        left: 'goes with the page',
        replaced: 'makes way for what was asked for',
      }[one.what]

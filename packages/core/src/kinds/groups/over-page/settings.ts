import { z } from 'zod'
import { choice, colour, group, number } from '../../setting'

const place = (label: string, before: string) => ({ label, paragraph: 'layout' as const, before })

/** Where it stands in windows of one size: px wide, and px from the edges. */
export interface Stand<P extends string> {
  width: number
  at: P
  offset: number
}

const WIDTH = { min: 200, max: 1400, step: 10 }
const OFFSET = { min: 0, max: 200, step: 4 }

function stand<P extends string>(
  places: Record<P, string>,
  byDefault: Stand<NoInfer<P>>,
  label: string,
  before: string,
) {
  const names = Object.entries(places) as [P, string][]
  const schema = z.strictObject({
    width: z
      .number()
      .int()
      .min(WIDTH.min, `must be ${WIDTH.min} or more`)
      .max(WIDTH.max, `must be ${WIDTH.max} or less`),
    at: z.enum(Object.keys(places) as [P, ...P[]]),
    offset: z.number().int().min(OFFSET.min).max(OFFSET.max),
  })
  return group(
    schema,
    {
      saidBy: 'width',
      parts: {
        width: { label: 'Width', control: { type: 'number', ...WIDTH, unit: 'px' } },
        at: {
          label: 'Stands',
          control: { type: 'choice', options: names.map(([value, words]) => ({ value, words })) },
        },
        offset: { label: 'From the edge', control: { type: 'number', ...OFFSET, unit: 'px' } },
      },
    },
    byDefault as never,
    place(label, before),
  )
}

/** A width, a place and a distance for each size of window. */
export const standsShape = <P extends string>(
  places: Record<P, string>,
  byDefault: Record<'desktop' | 'tablet' | 'phone', Stand<NoInfer<P>>>,
) => ({
  desktop: stand(places, byDefault.desktop, 'On desktops', 'On desktops '),
  tablet: stand(places, byDefault.tablet, 'On tablets', ' wide, on tablets '),
  phone: stand(places, byDefault.phone, 'On phones', ', on phones '),
})

/** What lies between it and the page. */
export const backdropShape = (byDefault: { colour: string; opacity: number }) => ({
  backdrop: colour(byDefault.colour, null, {
    label: 'What covers the page behind it',
    paragraph: 'look',
    before: '; behind it the page lies under ',
  }),
  backdropOpacity: number(
    { min: 0, max: 100, step: 5, unit: '%', byDefault: byDefault.opacity },
    { label: 'How much of the page it covers', paragraph: 'look', before: ', ', after: ' opaque' },
  ),
})

const motions = { none: 'at once', fade: 'by fading', slide: 'by sliding', grow: 'by growing' } as const
export type Motion = keyof typeof motions
const sides = {
  top: 'from above',
  bottom: 'from below',
  start: 'from the side where lines begin',
  end: 'from the other side',
} as const
export type Side = keyof typeof sides

/** How it comes and goes; who wants no motion gets none. */
export const motionShape = (byDefault: { enter: Motion; from: Side }) => ({
  enter: choice(motions, byDefault.enter, place('How it comes', '. It comes ')),
  enterFrom: choice(sides, byDefault.from, {
    ...place('Where it comes from', ' '),
    when: (s) => s.enter === 'slide' || s.exit === 'slide',
  }),
  exit: choice(motions, 'fade', place('How it goes', ' and goes ')),
  motionMs: number(
    { min: 0, max: 1500, step: 50, unit: 'ms', byDefault: 250 },
    { ...place('How long that takes', ' in '), when: (s) => s.enter !== 'none' || s.exit !== 'none' },
  ),
})

export interface MotionSettings {
  enter: Motion
  enterFrom: Side
  exit: Motion
  motionMs: number
}
export interface BackdropSettings {
  backdrop: string
  backdropOpacity: number
}

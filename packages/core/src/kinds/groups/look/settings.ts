import type { z } from 'zod'
import { shippedFonts, type ShippedFont } from '../../../look'
import { choice, colour, css, number } from '../../setting'
import type { scales } from './scales'
import { type Scale } from './scales'

const fontNames = Object.fromEntries(Object.entries(shippedFonts).map(([id, font]) => [id, font.name])) as Record<
  ShippedFont,
  string
>

export interface LookSettings {
  font: 'site' | ShippedFont
  theme: 'own' | 'light' | 'dark' | 'system'
  text: string
  background: string
  opacity: number
  accent: string
  linkHover: string
  button?: string
  starColour?: string
  borderWidth: number
  border: string
  radius: number
  shadow: 'none' | 'soft'
  padding: 'auto' | '0' | '8' | '12' | '16' | '24' | '32'
  headingSize: Scale
  textSize: Scale
  smallSize: Scale
  ownCss: string
}

const SITE = "the site's own"
const isOwn = (s: Record<string, unknown>) => s.theme === 'own'
const place = (label: string, before: string) => ({ label, paragraph: 'look' as const, before })

/** For kinds that have buttons. */
export const buttonColour = { button: colour('', SITE, { ...place('Buttons', ', buttons '), hints: ['contrast'] }) }
/** For kinds that have stars. */
export const starColour = {
  starColour: colour('#B07A00', 'the accent', { ...place('Stars', ', stars '), hints: ['contrast'] }),
}

const size = (label: string, before: string) =>
  choice(
    { smaller: 'smaller', usual: 'as usual', larger: 'larger', largest: 'much larger' } as const satisfies Record<
      keyof typeof scales,
      string
    >,
    'usual',
    place(label, before),
  )

/**
 * Font, colours, edges and sizes.
 * @param extras colours of what only some kinds have
 * @param ground what its background is where none is set
 */
export const lookShape = <X extends Record<string, z.ZodType>>(extras: X, ground = 'no background') => ({
  font: choice({ site: `${SITE} font`, ...fontNames }, 'site', place('Font', 'In ')),
  theme: choice(
    {
      own: 'in colours of its own',
      light: 'light',
      dark: 'dark',
      system: 'light or dark as the visitor’s system says',
    },
    'own',
    place('Light or dark', ', '),
  ),
  text: colour('', SITE, { ...place('Text', ': text '), hints: ['contrast'], when: isOwn }),
  background: colour('', ground, { ...place('Background', ', on '), hints: ['contrast'], when: isOwn }),
  opacity: number(
    { min: 0, max: 100, step: 5, unit: '%', byDefault: 100 },
    {
      ...place('Opacity of the background', ', '),
      after: ' opaque',
      hints: ['contrast'],
      when: (s) => !isOwn(s) || s.background !== '',
    },
  ),
  accent: colour('', SITE, { ...place('Accent', ', accent '), hints: ['contrast'] }),
  linkHover: colour('', 'the accent', {
    ...place('Links under the pointer', ', links under the pointer '),
    hints: ['contrast'],
  }),
  ...extras,
  borderWidth: number({ min: 0, max: 8, unit: 'px', byDefault: 0 }, place('Border', '; border ')),
  border: colour('', 'from the text', {
    ...place('Colour of the border', ' '),
    when: (s) => s.borderWidth !== 0,
  }),
  radius: number({ min: 0, max: 24, step: 2, unit: 'px', byDefault: 4 }, place('Corner radius', ', corners ')),
  shadow: choice({ none: 'no shadow', soft: 'a soft shadow' }, 'none', place('Shadow', ', ')),
  padding: choice(
    {
      auto: 'padded where it has an edge',
      '0': 'without padding',
      '8': 'padded by 8 px',
      '12': 'padded by 12 px',
      '16': 'padded by 16 px',
      '24': 'padded by 24 px',
      '32': 'padded by 32 px',
    },
    'auto',
    place('Padding', ', '),
  ),
  headingSize: size('Size of headings', '; headings '),
  textSize: size('Size of text', ', text '),
  smallSize: size('Size of small print', ', small print '),
  ownCss: css(60_000, { ...place('Own CSS', '; own CSS: ') }),
})

import { shippedFonts, type ShippedFont } from '../../look'
import { colour as safeColour } from '../../markup'
import type { RenderedFont } from '../kind'
import { choice, colour, number } from '../setting'

const fontNames = Object.fromEntries(Object.entries(shippedFonts).map(([id, font]) => [id, font.name])) as Record<
  ShippedFont,
  string
>

interface LookSettings {
  font: 'site' | ShippedFont
  accent: string
  text: string
  background: string
  radius: number
}

/** Px around the content where it stands on a background of its own. */
const ON_BACKGROUND = 16

/** Font, colours and corners. */
export const lookGroup = {
  shape: {
    font: choice({ site: "the site's own font", ...fontNames }, 'site', {
      label: 'Font',
      paragraph: 'look',
      before: 'In ',
    }),
    accent: colour('#17665A', "the site's own", { label: 'Accent colour', paragraph: 'look', before: ', accent ' }),
    text: colour('', "the site's own", {
      label: 'Text colour',
      paragraph: 'look',
      before: ', text ',
      hints: ['contrast'],
    }),
    background: colour('', 'no background', {
      label: 'Background colour',
      paragraph: 'look',
      before: ', on ',
      hints: ['contrast'],
    }),
    radius: number(
      { min: 0, max: 24, step: 2, unit: 'px', byDefault: 4 },
      { label: 'Corner radius', paragraph: 'look', before: ', corners ' },
    ),
  },
  colours: ({ text, background }: LookSettings) => ({ text, background }),
  padding: ({ background }: Pick<LookSettings, 'background'>) => (background ? ON_BACKGROUND : 0),
  font: ({ font }: LookSettings): RenderedFont | null => {
    if (font === 'site') return null
    const { family, file, generic } = shippedFonts[font]
    return { family, file, generic }
  },
  /** Declarations for the widget's outermost element; `--a` is the accent. */
  css(s: LookSettings): string {
    const [text, background] = [safeColour(s.text), safeColour(s.background)]
    const font = lookGroup.font(s)
    return (
      `box-sizing:border-box;padding:${lookGroup.padding(s)}px;` +
      (font ? `font-family:"${font.family}",${font.generic};` : '') +
      (text ? `color:${text};` : '') +
      (background ? `background:${background};border-radius:${s.radius}px;` : '') +
      `line-height:1.45;--a:${safeColour(s.accent) || 'currentColor'}`
    )
  },
}

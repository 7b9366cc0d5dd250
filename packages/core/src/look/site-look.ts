import { channels } from './contrast'
import { nearestReadable, readableOn } from './nearest'
import { palettes, usualSite, type SiteColours } from './themes'

/** What we noted of a client site's look: widgets that take "the site's own" take it from here, and the stage shows it. */
export interface SiteLook {
  /** CSS font-family of running text and of headings. */
  bodyFont: string
  headingFont: string
  fontFaces: { family: string; src: string; weight: string }[]
  text: string
  background: string
  accent: string
  /** Width of the content column, px. */
  contentWidth: number
  /** The rest where it was read: colours of links, headings, buttons and the words on them. */
  link?: string
  heading?: string
  button?: string
  buttonText?: string
  /** Px, of its buttons and pictures, and between its paragraphs. */
  radius?: number
  spacing?: number
}

const isHex = (value: string | undefined): value is string => /^#[0-9a-f]{6}$/i.test(value ?? '')

/** A site's colours as they are measured against; what is not known is what most sites have. */
export function siteColours(look: SiteLook | null): SiteColours {
  if (!look) return usualSite
  const known = (value: string | undefined, otherwise: string) => (isHex(value) ? value : otherwise)
  const button = known(look.button, '')
  return {
    text: known(look.text, usualSite.text),
    background: known(look.background, usualSite.background),
    accent: known(look.accent, ''),
    button,
    buttonText: button && known(look.buttonText, readableOn(button)),
  }
}

/**
 * A site's colours as variables of a widget that stands there (CSS declarations): what "the site's own" text, ground, accent and
 * button are,
 * and what they are on the grounds of our own themes, where the site's might not be readable.
 */
export function siteVariables(look: SiteLook | null): string {
  const { text, background, accent, button, buttonText } = siteColours(look)
  const readable = (theme: 'light' | 'dark') => nearestReadable(accent, [palettes[theme].background], 4.5) ?? accent
  return [
    ...(look ? [`--site-text:${text}`, `--site-background:${background}`] : []),
    ...(accent
      ? [
          `--site-accent:${accent}`,
          `--site-accent-light:${readable('light')}`,
          `--site-accent-dark:${readable('dark')}`,
        ]
      : []),
    ...(button ? [`--site-button:${button}`, `--site-button-text:${buttonText}`] : []),
  ].join(';')
}

/** #rrggbb with an opacity in per cent, as CSS has it. */
export function seeThrough(hex: string, percent: number): string {
  const [r, g, b] = channels(hex)
  return percent >= 100 ? hex : `rgb(${r} ${g} ${b}/${percent}%)`
}

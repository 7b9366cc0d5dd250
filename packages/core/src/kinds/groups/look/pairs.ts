import { contrast, nearestReadable, over, palettes, readableOn, type SiteColours } from '../../../look'
import { themed } from './css'
import type { LookSettings } from './settings'

/** Two colours that meet, in one theme, and how far apart they must be. */
export interface Pair {
  /** "Text", "Text under the pointer": what is to be read or seen. */
  what: string
  /** The setting to change; null where the site decides, or the theme. */
  setting: string | null
  colour: string
  /** How much of it is seen, 0 to 1. */
  alpha: number
  grounds: readonly string[]
  /** WCAG 2.2: 4.5 for text (1.4.3), 3 for what is no text (1.4.11). */
  least: 4.5 | 3
  theme: 'own' | 'light' | 'dark'
}

/** Small print is drawn so much thinner than the text. */
export const SMALL_PRINT = 0.8

type Theme = Pair['theme']

interface Resolved {
  text: string
  ground: string
  accent: string
  hover: string
  star: string
  button: string
  buttonText: string
}

/** What each colour is on a site; a ground that lets the page through is what the two make. */
function resolve(s: LookSettings, theme: Theme, site: SiteColours): Resolved {
  if (theme === 'own') {
    const text = s.text || site.text
    const ground = s.background ? over(s.background, s.opacity / 100, site.background) : site.background
    const accent = s.accent || site.accent || text
    const button = s.button || site.button
    return {
      text,
      ground,
      accent,
      hover: s.linkHover || accent,
      star: s.starColour || accent,
      button: button || ground,
      buttonText: s.button ? readableOn(s.button) : button ? site.buttonText : text,
    }
  }
  const own = themed(s, theme)
  const background = palettes[theme].background
  const siteAccent = site.accent && (nearestReadable(site.accent, [background], 4.5) ?? site.accent)
  const accent = own.accent || siteAccent || palettes[theme].accent
  return {
    text: own.text,
    ground: over(background, s.opacity / 100, site.background),
    accent,
    hover: own.hover || accent,
    star: own.star || accent,
    button: own.button,
    buttonText: readableOn(own.button),
  }
}

export const themesOf = ({ theme }: Pick<LookSettings, 'theme'>): Theme[] =>
  theme === 'system' ? ['light', 'dark'] : [theme]

/** Every two colours of the look that meet. */
export function lookPairs(s: LookSettings, site: SiteColours): Pair[] {
  return themesOf(s).flatMap((theme) => {
    const { text, ground, hover, star, button, buttonText } = resolve(s, theme, site)
    const settable = (key: string) => (theme === 'own' ? key : null)
    const pair = (
      what: string,
      setting: string | null,
      colour: string,
      least: 4.5 | 3,
      grounds = [ground],
      alpha = 1,
    ) => ({
      what,
      setting,
      colour,
      alpha,
      grounds,
      least,
      theme,
    })
    return [
      pair('Text', settable('text'), text, 4.5),
      pair('Small print', settable('text'), text, 4.5, [ground], SMALL_PRINT),
      pair(
        'A link under the pointer',
        s.linkHover || !settable('accent') ? settable('linkHover') : 'accent',
        hover,
        4.5,
      ),
      ...(s.starColour === undefined ? [] : [pair('Stars', settable('starColour'), star, 3)]),
      ...(s.button === undefined ? [] : [pair('Words on buttons', settable('button'), buttonText, 4.5, [button])]),
    ]
  })
}

/** The accent where it is the colour of words. */
export const accentAsText = (s: LookSettings, site: SiteColours): Pair[] =>
  themesOf(s).map((theme) => {
    const { accent, ground } = resolve(s, theme, site)
    return {
      what: 'Numbers in the accent',
      setting: theme === 'own' ? 'accent' : null,
      colour: accent,
      alpha: 1,
      grounds: [ground],
      least: 4.5,
      theme,
    }
  })

export interface Measured extends Pair {
  /** The least of the pair's contrasts, WCAG 2.2. */
  ratio: number
  passes: boolean
  /** What to set instead; null where it passes, or no setting of the widget would mend it. */
  mend: { setting: string; colour: string } | null
}

/** A pair's contrast on the worst of its grounds, and the nearest colour that would pass. */
export function measured(pair: Pair): Measured {
  const { colour, alpha, grounds, least, setting } = pair
  const ratio = Math.min(...grounds.map((ground) => contrast(over(colour, alpha, ground), ground)))
  const passes = ratio >= least
  // Text and small print are of one colour: what mends the one reads well as the other.
  const better =
    passes || !setting ? null : nearestReadable(colour, grounds, least, setting === 'text' ? [1, SMALL_PRINT] : [alpha])
  return { ...pair, ratio, passes, mend: better && setting ? { setting, colour: better } : null }
}

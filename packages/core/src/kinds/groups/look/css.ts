import { nearestReadable, palettes, readableOn, seeThrough, shippedFace } from '../../../look'
import { colour as safeColour } from '../../../markup'
import type { RenderedFont } from '../../kind'
import type { LookSettings } from './settings'

/** Px around the content where it stands on a ground of its own or within a border. */
const WITHIN_EDGE = 16

export const paddingOf = ({ padding, background, theme, borderWidth, opacity }: Edge): number =>
  padding !== 'auto'
    ? Number(padding)
    : borderWidth > 0 || (opacity > 0 && (theme !== 'own' || background !== ''))
      ? WITHIN_EDGE
      : 0

export type Edge = Pick<LookSettings, 'background' | 'padding' | 'theme' | 'borderWidth' | 'opacity'>

/** Px between the widget's edge and its content. */
export const insetOf = (s: Edge): number => paddingOf(s) + s.borderWidth

/** What is loaded for it; null for the site's own. */
export function fontOf({ font }: Pick<LookSettings, 'font'>): RenderedFont | null {
  return font === 'site' ? null : shippedFace(font)
}

/** The colours as variables, `--text` to `--button-text`, on what a selector chooses. */
export function variablesCss(selector: string, s: LookSettings): string {
  const rule = (variables: string) => `${selector}{${variables}}`
  if (s.theme === 'own') return rule(ownColours(s))
  if (s.theme !== 'system') return rule(themeColours(s, s.theme))
  return `${rule(themeColours(s, 'light'))}@media (prefers-color-scheme:dark){${rule(themeColours(s, 'dark'))}}`
}

const set = (value: string | undefined) => safeColour(value ?? '')

function ownColours(s: LookSettings): string {
  const [text, background] = [set(s.text), set(s.background)]
  const button = set(s.button)
  return (
    `--text:${text || 'currentColor'};--background:${background ? seeThrough(background, s.opacity) : 'transparent'};` +
    `--accent:${set(s.accent) || 'var(--site-accent,currentColor)'};--hover:${set(s.linkHover) || 'var(--accent)'};` +
    `--border:${set(s.border) || 'color-mix(in srgb,currentColor 30%,transparent)'};--star:${set(s.starColour) || 'var(--accent)'};` +
    (button
      ? `--button:${button};--button-edge:${button};--button-text:${readableOn(button)}`
      : '--button:var(--site-button,transparent);--button-edge:var(--site-button,currentColor);--button-text:var(--site-button-text,currentColor)')
  )
}

/** On our own grounds: a colour that was set is as near to itself as can be read there. */
function themeColours(s: LookSettings, theme: 'light' | 'dark'): string {
  const own = themed(s, theme)
  return (
    `--text:${own.text};--background:${seeThrough(own.background, s.opacity)};--border:${own.border};` +
    `--accent:${own.accent || `var(--site-accent-${theme},${palettes[theme].accent})`};--hover:${own.hover || 'var(--accent)'};--star:${own.star || 'var(--accent)'};` +
    `--button:${own.button};--button-edge:${own.button};--button-text:${readableOn(own.button)};` +
    `color-scheme:${theme}`
  )
}

/** A theme's colours as a widget has them; '' for an accent, a star or a hover colour that follows another. */
export function themed(s: LookSettings, theme: 'light' | 'dark') {
  const palette = palettes[theme]
  const readable = (value: string | undefined, least: number) => {
    const colour = set(value)
    return colour && (nearestReadable(colour, [palette.background], least) ?? palette.text)
  }
  return {
    text: palette.text,
    background: palette.background,
    border: set(s.border) || palette.border,
    accent: readable(s.accent, 4.5),
    hover: readable(s.linkHover, 4.5),
    star: readable(s.starColour, 3),
    button: readable(s.button, 3) || palette.button,
  }
}

const shadows: Record<LookSettings['shadow'], string> = {
  none: '',
  soft: 'box-shadow:0 1px 2px rgb(0 0 0/8%),0 4px 14px rgb(0 0 0/10%);',
}

/** Whether words and ground are the widget's own, and not the page's. */
const isColoured = (s: LookSettings) => ({
  text: s.theme !== 'own' || Boolean(set(s.text)),
  background: s.theme !== 'own' || Boolean(set(s.background)),
})

/** Rules for the widget's outermost element. */
export function lookCss(s: LookSettings): string {
  const font = fontOf(s)
  const { text, background } = isColoured(s)
  const hasEdge = s.borderWidth > 0 || s.shadow !== 'none' || background
  return (
    variablesCss('.w', s) +
    `.w{box-sizing:border-box;padding:${paddingOf(s)}px;line-height:1.45;` +
    (font ? `font-family:"${font.family}",${font.generic};` : '') +
    (text ? 'color:var(--text);' : '') +
    (background ? 'background:var(--background);' : '') +
    (hasEdge ? `border-radius:${s.radius}px;` : '') +
    (s.borderWidth ? `border:${s.borderWidth}px solid var(--border);` : '') +
    `${shadows[s.shadow]}}`
  )
}

/** Under the pointer a button's edge is of the hover colour. */
export const buttonHoverCss = 'border-color:var(--hover);box-shadow:inset 0 0 0 1px var(--hover)'

/** What a button of ours looks like; the sizes are its kind's. */
export const buttonCss = (radius: number) =>
  `border:1px solid var(--button-edge);border-radius:${radius}px;background:var(--button);color:var(--button-text);font:inherit;cursor:pointer`

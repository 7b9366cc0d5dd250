import { lookGroup, type LookSettings } from '../look'
import type { MessageSettings } from './settings'

/** Px and multiples. */
const SIZES = {
  heading: { of: 'heading', size: 24, line: 1.2 },
  text: { of: 'text', size: 16, line: 1.5 },
  button: { of: 'text', size: 15.5, line: 1.3 },
  small: { of: 'small', size: 13, line: 1.4 },
} as const

/** How its words, picture and buttons look; the shapes say where they stand. */
export function messageCss(settings: LookSettings & MessageSettings): string {
  const { heading, text, button, small } = lookGroup.sizedAll(SIZES, settings)
  const { picturePlace = 'above', pictureFocus = 'center', radius } = settings
  const beside = picturePlace !== 'above'
  return (
    `.in{min-width:0;display:grid;gap:14px;align-content:center}` +
    `.h{margin:0;font-size:${heading.size}px;line-height:${heading.line};font-weight:700;text-wrap:balance}` +
    `.tx{font-size:${text.size}px;line-height:${text.line}}.tx>*{margin:0 0 .6em}.tx>:last-child{margin-bottom:0}.tx ul,.tx ol{padding-inline-start:1.3em}` +
    `.tx a{color:var(--accent)}.tx a:hover{color:var(--hover)}` +
    `.pc{display:block;width:100%;object-fit:cover;object-position:${pictureFocus};border-radius:${Math.min(radius, 12)}px}` +
    (settings.picture
      ? beside
        ? `.w.pp{display:grid;grid-template-columns:minmax(0,2fr) minmax(0,3fr);gap:20px}.pc{height:100%;min-height:140px;max-height:60vh}` +
          (picturePlace === 'after'
            ? `.w.pp{grid-template-columns:minmax(0,3fr) minmax(0,2fr)}.w.pp>picture,.w.pp>.pc{order:2}`
            : '') +
          `@media (max-width:599px){.w.pp{grid-template-columns:minmax(0,1fr)}.pc{height:auto;max-height:32vh}.w.pp>picture,.w.pp>.pc{order:0}}`
        : `.pc{aspect-ratio:16/9;max-height:40vh;margin-bottom:16px}`
      : '') +
    `.bs{display:flex;flex-wrap:wrap;gap:10px}` +
    `.b{box-sizing:border-box;display:inline-flex;align-items:center;justify-content:center;min-height:44px;padding:8px 18px;text-decoration:none;${lookGroup.button(Math.min(radius, 24))};font-size:${button.size}px;line-height:${button.line}}` +
    `.b:not(.b1){background:transparent;color:inherit;border-color:currentColor}.b:hover{${lookGroup.buttonHover}}` +
    `.sp{margin:0;font-size:${small.size}px;line-height:${small.line};opacity:.85}` +
    `:focus-visible{outline:2px solid var(--accent);outline-offset:2px}`
  )
}

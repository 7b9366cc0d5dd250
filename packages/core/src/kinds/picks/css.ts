import {
  arrangementGroup,
  elsewhereGroup,
  headingGroup,
  lookGroup,
  moreGroup,
  pictureShapeGroup,
  type LineSize,
} from '../groups'
import { widthAnsweringHost } from '../host-css'
import { pickHeights, picksFit, placeOfWords, sizesOf, widestCover } from './box'
import type { PicksSettings } from './settings'
import type { ShownPick } from './view'

/** Behind an initial; white on each has more than 4.5:1. */
const tints = ['#3f5f73', '#6a4b7c', '#2f6b4f', '#8a4a35', '#5b5a24', '#7a3e5d']
export const TINTS = tints.length

// Sizes that box.ts counts with.
export function picksCss(settings: PicksSettings, picks: readonly ShownPick[]): string {
  const { title, note, small } = sizesOf(settings)
  return (
    widthAnsweringHost +
    `${lookGroup.css(settings)}.w p{margin:0}` +
    headingGroup.css(settings) +
    elsewhereGroup.css +
    arrangementGroup.css(settings, picksFit(settings), () => pickHeights(picks, settings)) +
    `.c{min-width:0;position:relative}.g{position:relative;display:block;background:#8882;border-radius:${settings.radius}px;overflow:hidden}` +
    pictureShapeGroup.css(settings, '.p') +
    (widestCover(settings) === Infinity
      ? pictureShapeGroup.largeCss(settings, picks[0]?.picture)
      : `.g{width:min(100%,${widestCover(settings)}px)}.l>.c:first-child>.g{flex:none}`) +
    `.i{display:grid;place-items:center;color:#fff;font-size:30px;font-weight:700}` +
    (settings.ratio === 'own' ? '.w .i{aspect-ratio:1}' : '') +
    tints.map((tint, at) => `.t${at}{background:${tint}}`).join('') +
    // Room for as many lines as are counted, all of it at the end: nothing stands apart that belongs together.
    `.b{min-height:calc(var(--n)*${title.line}px + var(--x,0)*${note.line}px + var(--s,0)*${small.line}px)}.s1{--s:1}` +
    lineClasses('n', settings.titleLines) +
    lineClasses('x', settings.noteLines) +
    clamped('.n', title, 'var(--n)') +
    clamped('.x', note, 'var(--x)') +
    `.w .n{margin:0;font-weight:700}` +
    `.w .s{font-size:${small.size}px;line-height:${small.line}px;opacity:.8;white-space:nowrap;overflow:hidden;text-overflow:ellipsis}` +
    // The link is the whole pick: its title's, laid over all of it.
    `.a{color:inherit;text-decoration:none}.a::after{content:"";position:absolute;inset:0;border-radius:${settings.radius}px}.c:hover .a{text-decoration:underline;text-decoration-color:var(--accent);text-decoration-thickness:2px;text-underline-offset:3px}.a:focus-visible{outline:none}.a:focus-visible::after{outline:2px solid var(--accent);outline-offset:2px}` +
    placed[placeOfWords(settings)](settings) +
    moreGroup.css(settings.radius)
  )
}

const lineClasses = (name: string, most: number) =>
  Array.from({ length: most }, (_, i) => `.${name}${i + 1}{--${name}:${i + 1}}`).join('')

const clamped = (selector: string, { size, line }: LineSize, lines: string) =>
  `.w ${selector}{font-size:${size}px;line-height:${line}px;overflow:hidden;overflow-wrap:anywhere;display:-webkit-box;-webkit-box-orient:vertical;-webkit-line-clamp:${lines}}`

const placed: Record<PicksSettings['words'], (settings: PicksSettings) => string> = {
  beneath: (settings) => `.g + .b{margin-top:${sizesOf(settings).above}px}`,
  beside: (settings) =>
    `.c{display:flex;gap:${sizesOf(settings).beside}px;align-items:start}.g{flex:none;width:${widestCover(settings)}px;max-width:50%}.b{flex:1;min-width:0}` +
    '.l>.c:first-child{flex-direction:row}.l>.c:first-child>.g{flex:none}',
  // It lies over the cover (`isolation`: what is positioned is painted later) and takes no room of its own (`contain:size`). Read aloud and found by the keyboard all the while;
  // where there is no pointer its title is there at once.
  card: (settings) =>
    `.l>.c,.l>.c:first-child{display:grid}.l>.c>*{grid-area:1/1}.b{isolation:isolate;min-height:0;box-sizing:border-box;padding:8px 10px;overflow:hidden;border-radius:${settings.radius}px;background:#fffdf8;color:#1d2b34}` +
    '@media (hover:hover){.b{contain:size;opacity:0;transition:opacity .15s}.c:hover .b,.c:focus-within .b{opacity:1}}@media (hover:none){.b{align-self:end;margin:6px}.w .x{display:none}}' +
    '@media (prefers-reduced-motion:reduce){.b{transition:none}}@media print{.b{contain:none;opacity:1;align-self:end}}',
  none: () => '.b{min-height:0}.w .b .n{height:0}',
}

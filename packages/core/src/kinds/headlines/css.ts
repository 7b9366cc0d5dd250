import { arrangementGroup, elsewhereGroup, headingGroup, lookGroup } from '../groups'
import { widthAnsweringHost } from '../host-css'
import { headlinesFit, sizesOf, THUMB, THUMB_GAP } from './box'
import type { HeadlinesSettings } from './settings'

// Sizes that box.ts counts with.
export function headlinesCss(settings: HeadlinesSettings): string {
  const { title, text, meta } = sizesOf(settings)
  const cell =
    settings.picture === 'left'
      ? `.c.i{display:grid;grid-template-columns:${THUMB}px minmax(0,1fr);column-gap:${THUMB_GAP}px}.p{width:${THUMB}px;height:${THUMB}px}`
      : '.p{width:100%;aspect-ratio:16/9;margin-bottom:8px}'
  return (
    widthAnsweringHost +
    `${lookGroup.css(settings)}` +
    headingGroup.css(settings) +
    elsewhereGroup.css +
    arrangementGroup.css(settings, headlinesFit(settings)) +
    `.c{min-width:0}${cell}.p{display:block;object-fit:cover;border-radius:${settings.radius}px;background:#8882}` +
    `.b{display:grid;gap:4px;align-content:start;min-width:0;overflow-wrap:anywhere}` +
    `.t{margin:0;font-size:${title.size}px;line-height:${title.line};font-weight:700}` +
    `.t a{color:inherit;text-decoration:underline;text-decoration-color:var(--accent);text-decoration-thickness:2px;text-underline-offset:3px}` +
    `.t a:hover{color:var(--hover)}.t a:focus-visible{outline:2px solid var(--accent);outline-offset:2px}` +
    `.m,.x{margin:0}.m{font-size:${meta.size}px;line-height:${meta.line};opacity:.8}.x{font-size:${text.size}px;line-height:${text.line}}`
  )
}

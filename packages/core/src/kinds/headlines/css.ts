import { arrangementGroup, lookGroup } from '../groups'
import { widthAnsweringHost } from '../host-css'
import { headlinesFit, THUMB, THUMB_GAP } from './box'
import type { HeadlinesSettings } from './settings'

// Sizes that box.ts counts with.
export function headlinesCss(settings: HeadlinesSettings): string {
  const cell =
    settings.picture === 'left'
      ? `.c.i{display:grid;grid-template-columns:${THUMB}px minmax(0,1fr);column-gap:${THUMB_GAP}px}.p{width:${THUMB}px;height:${THUMB}px}`
      : '.p{width:100%;aspect-ratio:16/9;margin-bottom:8px}'
  return (
    widthAnsweringHost +
    `.w{${lookGroup.css(settings)}}` +
    `.h{margin:0 0 12px;font-size:20px;line-height:1.2;font-weight:700}` +
    `.e{margin:0 0 12px;font-size:14px;line-height:1.45}` +
    arrangementGroup.css(settings, headlinesFit(settings)) +
    `.c{min-width:0}${cell}.p{display:block;object-fit:cover;border-radius:${settings.radius}px;background:#8882}` +
    `.b{display:grid;gap:4px;align-content:start;min-width:0;overflow-wrap:anywhere}` +
    `.t{margin:0;font-size:16px;line-height:1.3;font-weight:700}` +
    `.t a{color:inherit;text-decoration:underline;text-decoration-color:var(--a);text-decoration-thickness:2px;text-underline-offset:3px}` +
    `.t a:hover{color:var(--a)}.t a:focus-visible{outline:2px solid var(--a);outline-offset:2px}` +
    `.m,.x{margin:0}.m{font-size:12.5px;line-height:1.4;opacity:.8}.x{font-size:14px}`
  )
}

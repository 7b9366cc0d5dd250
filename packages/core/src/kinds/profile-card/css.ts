import { columnSteps } from '../../layout'
import { lookGroup, pictureShapeGroup } from '../groups'
import { widthAnsweringHost } from '../host-css'
import { cardFit, LINE_FROM, sizesOf } from './box'
import type { ProfileCardSettings } from './settings'

// Sizes that box.ts counts with.
export function cardCss(settings: ProfileCardSettings): string {
  const { name, handle, bio, counts, button, between, apart } = sizesOf(settings)
  const spec = cardFit(settings)
  const text = (selector: string, { size, line }: { size: number; line: number }) =>
    `.w ${selector}{font-size:${size}px;line-height:${line}}`
  return (
    widthAnsweringHost +
    `${lookGroup.css(settings)}.w p{margin:0}` +
    `.d{display:flex;flex-direction:column;align-items:center;gap:${between}px;text-align:center;overflow-wrap:anywhere}.b{display:flex;flex-direction:column;align-items:inherit;gap:${between}px;min-width:0;max-width:100%}` +
    `.f{width:${settings.faceSize}px;max-width:100%;aspect-ratio:1;border-radius:50%;object-fit:cover;display:block}` +
    (settings.arranged === 'line'
      ? `@container (width>=${LINE_FROM + 2 * spec.padding}px){.d{flex-direction:row;align-items:center;gap:${apart}px;text-align:start}.b{flex:1;align-items:start}.d picture,.f{flex:none}}`
      : '') +
    `.n{font-weight:700}.h,.k{opacity:.8}` +
    text('.n', name) +
    text('.h', handle) +
    text('.x', bio) +
    text('.k', counts) +
    `.o{box-sizing:border-box;min-height:${button}px;max-width:100%;padding:8px 18px;${lookGroup.button(settings.radius)};text-decoration:none;font-size:15px;line-height:22px}.o:hover{${lookGroup.buttonHover}}.o:focus-visible,.g:focus-visible{outline:2px solid var(--accent);outline-offset:2px}` +
    `.l{--n:1;list-style:none;margin:0;padding:0;display:grid;grid-template-columns:repeat(var(--n),minmax(0,1fr));gap:${settings.gap}px}.d + .l{margin-top:${apart}px}` +
    columnSteps(spec)
      .filter(({ columns }) => columns > 1)
      .map(({ from, columns }) => `@container (width>=${from}px){.l{--n:${columns}}}`)
      .join('') +
    `.c{min-width:0}.g{display:block;overflow:hidden;background:#8882;border-radius:${Math.min(settings.radius, 8)}px}` +
    pictureShapeGroup.css(settings, '.p')
  )
}

import { lookGroup } from '../groups'
import { widthAnsweringHost } from '../host-css'
import { BADGE, NAMES, ROW, sizesOf } from './box'
import type { OpeningHoursSettings } from './settings'

const table = ({ ahead }: OpeningHoursSettings) =>
  `.t{width:100%;table-layout:fixed;border-collapse:collapse}.t .n{width:${NAMES * 100}%}` +
  `.t th,.t td{padding:${ROW.padding}px 0;vertical-align:top;font-weight:400;text-align:start;overflow-wrap:anywhere}` +
  `.t th{padding-inline:${ROW.beside}px;border-inline-start:${ROW.bar}px solid transparent}.t td span{display:block}` +
  `.t tr+tr,.t tbody+tbody tr{border-top:${ROW.edge}px solid var(--border,#8884)}` +
  `.t [aria-current] th{border-inline-start-color:var(--accent)}.t [part=name]{opacity:.85}` +
  `.x tr:nth-child(n+${ahead + 1}){display:none}`

/** A mark that is filled while it is open and an outline while it is closed; none until that is known. */
const badge =
  `.s.badge{display:inline-block;max-width:100%;box-sizing:border-box;padding:${BADGE.block}px ${BADGE.side}px;border:${BADGE.edge}px solid var(--border,currentColor);border-radius:999px}` +
  `.s.badge::before{content:'';display:inline-block;box-sizing:border-box;width:10px;height:10px;margin-inline-end:${BADGE.mark - 10}px;border:2px solid var(--accent);border-radius:58% 42% 47% 53%/46% 56% 44% 54%}` +
  `.s.badge[data-open-now=open]::before{background:var(--accent)}`

const styles: Record<OpeningHoursSettings['style'], (settings: OpeningHoursSettings) => string> = {
  table,
  line: () => '',
  badge: () => badge,
}

// Sizes that box.ts counts with.
export function openingHoursCss(settings: OpeningHoursSettings): string {
  const { heading, text, below } = sizesOf(settings)
  return (
    widthAnsweringHost +
    `${lookGroup.css(settings)}.w{font-size:${text.size}px;line-height:${text.line};font-variant-numeric:tabular-nums}` +
    `.h{margin:0 0 ${below}px;font-size:${heading.size}px;line-height:${heading.line};font-weight:700}` +
    `.w .s{margin:0${settings.style === 'table' ? ` 0 ${below}px` : ''};font-weight:700}` +
    styles[settings.style](settings)
  )
}

import { lookGroup } from '../groups'
import { widthAnsweringHost } from '../host-css'
import { sizesOf } from './box'
import type { VisitCounterSettings } from './settings'

const styles: Record<VisitCounterSettings['style'], string> = {
  line: '.n{margin:0}.i{white-space:nowrap;margin-inline-end:16px}.i:last-child{margin-inline-end:0}',
  table:
    '.n{width:100%;border-collapse:collapse}.n th{font-weight:400;text-align:start;padding-block:3px;padding-inline:0 12px}.n td{text-align:end;padding:3px 0;font-weight:700}.n tr+tr{border-top:1px solid #8884}',
  digits:
    '.n{display:flex;flex-wrap:wrap;align-items:center;gap:4px 10px;margin:0}.n+.n{margin-top:8px}' +
    '.v{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%);white-space:nowrap}' +
    '.o{display:inline-flex;gap:2px}.o i{font-style:normal;font-weight:700;font-size:18px;line-height:26px;width:20px;text-align:center;background:#1d2b34;color:#fff;border-radius:2px;border-bottom:2px solid var(--accent)}',
}

// Sizes that box.ts counts with.
export const visitCounterCss = (settings: VisitCounterSettings): string =>
  widthAnsweringHost +
  `${lookGroup.css(settings)}.w{position:relative;font-size:${sizesOf(settings).text.size}px;font-variant-numeric:tabular-nums}` +
  `.h{margin:0 0 8px;font-size:${sizesOf(settings).heading.size}px;line-height:1.25;font-weight:700}` +
  `.n b,.n td{color:var(--accent)}` +
  styles[settings.style]

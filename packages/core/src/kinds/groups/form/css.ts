import { lookGroup, type LookSettings } from '../look'
import type { FormSettings } from './settings'

/** Px and multiples. */
export const SIZES = {
  label: { of: 'text', size: 15, line: 1.4 },
  input: { of: 'text', size: 16, line: 1.3 },
  small: { of: 'small', size: 13, line: 1.4 },
} as const
/** Px: between fields, the room of one line that is typed into, and from where two stand side by side. */
export const ROOM = { gap: 14, input: 44, beside: 420, within: 5, option: 32 }

/** An edge that reaches 3:1 on the ground of the words it is mixed from (WCAG 2.2, 1.4.11). */
const EDGE = 'color-mix(in srgb,currentColor 62%,transparent)'

/** How fields, steps and what comes after look; '' where there are none. */
export function formCss(settings: FormSettings & LookSettings): string {
  if (!settings.fields) return ''
  const { label, input, small } = lookGroup.sizedAll(SIZES, settings)
  const round = Math.min(settings.radius, 12)
  return (
    `.fm{container-type:inline-size;min-width:0;margin:0;text-align:start}.fm [hidden],.dn[hidden]{display:none}` +
    `.se{min-width:0;margin:0;padding:0;border:0}.se+.se{margin-top:${ROOM.gap}px}.sl{padding:0;margin-bottom:8px;font-weight:700;font-size:${label.size + 2}px}` +
    `.fs{display:grid;grid-template-columns:minmax(0,1fr);gap:${ROOM.gap}px;align-items:start}` +
    `@container (min-width:${ROOM.beside}px){.fs{grid-template-columns:repeat(2,minmax(0,1fr))}.fd{grid-column:1/-1}.hf{grid-column:auto}}` +
    `.fd{min-width:0;margin:0;padding:0;border:0}.lb{display:block;padding:0;margin-bottom:${ROOM.within}px;font-size:${label.size}px;line-height:${label.line};font-weight:600}` +
    `.op{font-weight:400;opacity:.85;font-size:${small.size}px}.hp{margin:0 0 ${ROOM.within}px;font-size:${small.size}px;line-height:${small.line}}` +
    `.ip{box-sizing:border-box;width:100%;min-width:0;min-height:${ROOM.input}px;margin:0;padding:9px 12px;border:1px solid ${EDGE};border-radius:${round}px;` +
    `background:color-mix(in srgb,currentColor 4%,transparent);color:inherit;font:inherit;font-size:${Math.max(16, input.size)}px;line-height:${input.line}}` +
    `select.ip option{color:#1d2b34;background:#fff}textarea.ip{resize:vertical}.ip::placeholder{color:inherit;opacity:.72}` +
    `.os{display:grid;gap:2px}.oc{display:inline-flex;gap:10px;align-items:flex-start;min-height:${ROOM.option - 8}px;padding:4px 0;font-size:${label.size}px;line-height:${label.line};cursor:pointer}` +
    `.oc input{flex:none;width:20px;height:20px;margin:0;accent-color:var(--accent)}.bx a{color:var(--accent);display:inline-block;min-width:24px;min-height:24px;text-align:center}` +
    `.rt{display:inline-flex}.sr{position:relative;display:grid;place-items:center;min-width:36px;min-height:44px;cursor:pointer}.sr input{position:absolute;inset:0;width:100%;height:100%;margin:0;opacity:0;cursor:pointer}` +
    `.st{font-size:30px;line-height:1;color:${EDGE};-webkit-text-stroke:1px currentColor}.sr:has(input:checked) .st,.sr:has(~.sr input:checked) .st{color:var(--star)}` +
    `.sr:has(:focus-visible){outline:2px solid var(--accent);outline-offset:1px;border-radius:4px}` +
    `.er{margin:${ROOM.within}px 0 0;font-size:${label.size}px;line-height:${label.line};font-weight:600}.er::before{content:"▲ ";font-size:.8em}` +
    `[aria-invalid=true].ip{border-width:2px;border-color:currentColor}` +
    `.ms{margin:10px 0 0;font-size:${label.size}px;line-height:${label.line}}.ms:empty{display:none}.fm .bs{margin-top:${ROOM.gap}px}` +
    `.pg{display:flex;gap:10px;align-items:center;margin-bottom:10px;font-size:${small.size}px}.pg progress{flex:1;height:6px;accent-color:var(--accent)}` +
    `.tr{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%)}.hd{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%);white-space:nowrap}` +
    `.b[aria-busy=true]{opacity:.7}.dn{outline-offset:4px}.dn .bs{margin-top:12px}` +
    `.pr{width:100%;margin-top:12px;border-collapse:collapse;font-size:${label.size}px}.pr caption{text-align:start;font-weight:600;padding-bottom:4px}.pr caption small{font-weight:400;opacity:.85}` +
    `.pr th{font-weight:400;text-align:start;padding-block:3px;padding-inline-end:10px}.pr td:nth-of-type(1){width:45%}.pr td:nth-of-type(2){text-align:end;padding-inline-start:8px;font-variant-numeric:tabular-nums}.pr meter{width:100%;height:14px}.pr meter::-webkit-meter-optimum-value{background:var(--accent)}.pr meter::-moz-meter-bar{background:var(--accent)}`
  )
}

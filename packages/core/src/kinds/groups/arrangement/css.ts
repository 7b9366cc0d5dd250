import { masonry, type FitSpec, type Height } from '../../../layout'
import { inOneRow, shownIn, stepsOf } from './columns'
import type { ArrangementSettings } from './settings'
import { buttonCss, buttonHoverCss } from '../look/css'

/** Px: buttons below a row that can be moved along, with the space above them. */
const BUTTON = 36
export const CONTROLS = BUTTON + 10

type Step = ReturnType<typeof stepsOf>[number]

const between = ({ from, to }: Step, rules: string) =>
  rules && `@container (width>=${from}px)${to === Infinity ? '' : ` and (width<${to}px)`}{${rules}}`

/**
 * A list `.l` of cells `.c`; `--n` is how many of them are side by side.
 * @param cellsAt how high each is where a cell is so many px wide; for a wall
 */
export function arrangementCss(
  s: ArrangementSettings,
  spec: FitSpec,
  cellsAt: (cell: number) => readonly Height[] = () => [],
): string {
  const steps = stepsOf(spec)
  const list = `${alignCss(s)}.l{--n:1;list-style:none;margin:0;padding:0;gap:${s.gap}px;`
  const counts = steps
    .filter(({ columns }) => columns > 1)
    .map((step) => between(step, `.l{--n:${step.columns}}`))
    .join('')
  if (inOneRow(s)) return `${list}${rowCss(s)}${counts}`
  if (s.layout === 'masonry') return `${list}${wallCss(spec)}${counts}${wallPlaces(steps, spec, cellsAt)}`
  return (
    `${list}display:grid;grid-template-columns:repeat(var(--n),minmax(0,1fr))}${counts}` +
    (s.layout === 'large-first' ? largeCss(steps) : '') +
    steps.map((step) => between(step, hidden(shownIn(s, step.columns)))).join('')
  )
}

/** Words, and what stands in lines with them. */
const alignCss = ({ align }: Pick<ArrangementSettings, 'align'>) =>
  align === 'start'
    ? ''
    : `.w{text-align:${align === 'centre' ? 'center' : 'end'}}.w :is(.m,.v,.sp,.ps,.kb,.ph){justify-content:${align === 'centre' ? 'center' : 'end'}}.c>.g,.c>.ps{margin-inline:${align === 'centre' ? 'auto' : 'auto 0'}}`

const hidden = (from: number) => (from === Infinity ? '' : `.l>.c:nth-child(n+${from + 1}){display:none}`)

/** A row that scrolls sideways, with its buttons. */
const rowCss = ({ gap, radius }: ArrangementSettings) =>
  `display:flex;overflow-x:auto;scroll-snap-type:x mandatory;overscroll-behavior-x:contain}` +
  `.l>.c{flex:0 0 calc((100% - (var(--n) - 1)*${gap}px)/var(--n));scroll-snap-align:start}` +
  `.kb{display:flex;gap:8px;margin-top:${CONTROLS - BUTTON}px;height:${BUTTON}px;visibility:hidden}.k.on .kb{visibility:visible}.k.on .l{scrollbar-width:none}.k.on .l::-webkit-scrollbar{display:none}` +
  `.kb button{width:${BUTTON}px;height:${BUTTON}px;padding:0;${buttonCss(Math.min(radius, BUTTON / 2))};font-size:18px;line-height:1}` +
  `.kb button:hover{${buttonHoverCss}}.k.rtl .kp,.k.rtl .kn{transform:scaleX(-1)}.l:focus-visible{outline-offset:-2px}`

/** The first spans two columns, and two rows where there is room beside it; its picture grows with it (`.g`). */
const largeCss = (steps: readonly Step[]) =>
  steps
    .filter(({ columns }) => columns > 1)
    .map((step) =>
      between(
        step,
        `.l>.c:first-child{grid-column:span 2${step.columns > 2 ? ';grid-row:span 2;display:flex;flex-direction:column' : ''}}` +
          (step.columns > 2 ? '.l>.c:first-child>.g{flex:1 0 auto}' : ''),
      ),
    )
    .join('')

/** Cells of a wall stand where `--c`, `--t` and `--o` put them: a column, cell widths and px from the top. */
const wallCss = ({ gap, padding }: FitSpec) =>
  `position:relative;--w:calc((100cqw - ${2 * padding}px - (var(--n) - 1)*${gap}px)/var(--n))}` +
  `.l>.c{position:absolute;width:var(--w);inset-inline-start:calc(var(--c)*(var(--w) + ${gap}px));top:calc(var(--t)*var(--w) + var(--o)*1px)}`

/** Where each cell stands, for every number of columns; those of a later part of the same wall only add to it. */
function wallPlaces(
  steps: readonly Step[],
  { gap }: FitSpec,
  cellsAt: (cell: number) => readonly Height[],
  from = 0,
): string {
  return steps
    .map((step) => {
      const { places, columns } = masonry(cellsAt(step.cell), step.columns, gap, step.cell)
      const cells = places
        .slice(from)
        .map(
          ({ column, top }, at) =>
            `.l>:nth-child(${from + at + 1}){--c:${column};--t:${short(top.ratio)};--o:${short(top.fixed)}}`,
        )
        .join('')
      const height = columns.map(({ ratio, fixed }) => `calc(${short(ratio)}*var(--w) + ${short(fixed)}px)`).join(',')
      return between(step, `${cells}.l{height:max(0px,${height})}`)
    })
    .join('')
}

/** Rules that come with a later part of the same list: where its cells stand in a wall, which is then higher. */
export const stepsAfter = (
  s: ArrangementSettings,
  spec: FitSpec,
  cellsAt: (cell: number) => readonly Height[],
  from: number,
): string => (s.layout === 'masonry' ? wallPlaces(stepsOf(spec), spec, cellsAt, from) : '')

const short = (value: number) => String(Math.round(value * 10_000) / 10_000)

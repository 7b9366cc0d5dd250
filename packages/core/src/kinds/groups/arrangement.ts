import { columnSteps, type FitSpec } from '../../layout'
import { escapeAttribute, escapeText } from '../../markup'
import { choice, number } from '../setting'

interface ArrangementSettings {
  layout: 'list' | 'grid' | 'carousel' | 'one'
  columns: number
  gap: number
  moves: 'no' | '5' | '8' | '12'
  radius: number
}

/** Words of the buttons that move a row along. */
export interface MovingWords {
  previous: string
  next: string
  pause: string
  resume: string
}

/** Px: buttons below a row that can be moved along, with the space above them. */
const BUTTON = 36
const CONTROLS = BUTTON + 10

const inOneRow = ({ layout }: Pick<ArrangementSettings, 'layout'>) => layout === 'carousel' || layout === 'one'

/** List, grid, a row that is moved along, or one at a time; and what lies between the cells. */
export const arrangementGroup = {
  shape: {
    layout: choice(
      { list: 'list', grid: 'grid', carousel: 'row to move along', one: 'row of one large at a time' },
      'list',
      {
        label: 'Layout',
        paragraph: 'layout',
        before: 'In a ',
      },
    ),
    columns: number(
      { min: 1, max: 6, byDefault: 3 },
      {
        label: 'Columns on desktop',
        paragraph: 'layout',
        before: ' of ',
        after: ' columns',
        hints: ['cell', 'rows'],
        when: (s) => s.layout === 'grid' || s.layout === 'carousel',
      },
    ),
    moves: choice(
      {
        no: 'that stands still',
        '5': 'that moves every 5 seconds',
        '8': 'that moves every 8 seconds',
        '12': 'that moves every 12 seconds',
      },
      'no',
      {
        label: 'Moving by itself',
        paragraph: 'layout',
        before: ' ',
        when: (s) => s.layout === 'carousel' || s.layout === 'one',
      },
    ),
    gap: number(
      { min: 0, max: 48, step: 4, unit: 'px', byDefault: 16 },
      { label: 'Gap', paragraph: 'layout', before: ', ', after: ' apart' },
    ),
  },
  inOneRow,
  /** @param cell what one cell and the widget's edge need, px */
  fit: (s: ArrangementSettings, cell: Pick<FitSpec, 'padding' | 'cellMin' | 'relief'>): FitSpec => ({
    columns: s.layout === 'grid' || s.layout === 'carousel' ? s.columns : 1,
    gap: s.gap,
    ...cell,
  }),
  /** Px of cells of these heights, so many in a row. */
  height(s: ArrangementSettings, heights: readonly number[], rows: (heights: readonly number[]) => number): number {
    if (!inOneRow(s)) return rows(heights)
    return heights.length ? Math.max(...heights) + CONTROLS : 0
  },
  /** A list `.l` of cells `.c`; `--n` is how many of them are side by side. */
  css(s: ArrangementSettings, spec: FitSpec): string {
    const steps = columnSteps(spec)
      .map(({ from, columns }) => `@container (min-width:${from}px){.l{--n:${columns}}}`)
      .join('')
    const list = `.l{--n:1;list-style:none;margin:0;padding:0;gap:${s.gap}px;`
    if (!inOneRow(s)) return `${list}display:grid;grid-template-columns:repeat(var(--n),minmax(0,1fr))}${steps}`
    return (
      `${list}display:flex;overflow-x:auto;scroll-snap-type:x mandatory;overscroll-behavior-x:contain}${steps}` +
      `.l>.c{flex:0 0 calc((100% - (var(--n) - 1)*${s.gap}px)/var(--n));scroll-snap-align:start}` +
      `.kb{display:flex;gap:8px;margin-top:${CONTROLS - BUTTON}px;height:${BUTTON}px;visibility:hidden}.k.on .kb{visibility:visible}.k.on .l{scrollbar-width:none}.k.on .l::-webkit-scrollbar{display:none}` +
      `.kb button{width:${BUTTON}px;height:${BUTTON}px;padding:0;border:1px solid currentColor;border-radius:${Math.min(s.radius, BUTTON / 2)}px;background:none;color:inherit;font:inherit;font-size:18px;line-height:1;cursor:pointer}` +
      `.kb button:hover{border-color:var(--a);color:var(--a)}.k.rtl .kp,.k.rtl .kn{transform:scaleX(-1)}.l:focus-visible{outline-offset:-2px}`
    )
  },
  /** The list with what moves it along around it. */
  html(s: ArrangementSettings, cells: string, name: string, words: MovingWords): string {
    if (!inOneRow(s)) return `<ul class="l" role="list">${cells}</ul>`
    const button = (className: string, label: string, sign: string) =>
      `<button type="button" class="${className}" aria-label="${escapeAttribute(label)}"><span aria-hidden="true">${sign}</span></button>`
    const pause =
      s.moves === 'no'
        ? ''
        : `<button type="button" class="ks" data-pause="${escapeAttribute(words.pause)}" data-resume="${escapeAttribute(words.resume)}" aria-label="${escapeAttribute(words.pause)}"><span aria-hidden="true">‖</span></button>`
    return (
      `<div class="k" role="group" aria-roledescription="carousel" aria-label="${escapeAttribute(name)}">` +
      `<ul class="l" role="list" tabindex="0" aria-label="${escapeText(name)}">${cells}</ul>` +
      `<div class="kb">${button('kp', words.previous, '‹')}${button('kn', words.next, '›')}${pause}</div></div>`
    )
  },
  behaviours: (s: ArrangementSettings): string[] => (inOneRow(s) ? ['carousel'] : []),
  data: (s: ArrangementSettings): Record<string, unknown> =>
    inOneRow(s) && s.moves !== 'no' ? { seconds: Number(s.moves) } : {},
}

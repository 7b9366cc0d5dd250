import { extraOf, fitSpec, inOneRow } from './columns'
import { arrangementCss } from './css'
import { arrangedHeight } from './height'
import { arrangementHtml } from './html'
import { arrangementShape, isMoved, type ArrangementSettings } from './settings'

export { stepsAfter } from './css'
export { movingWords, type MovingWords } from './html'
export type { ArrangementSettings, Layout } from './settings'

/** List, grid, wall, first one large, a row that is moved along, or one at a time; and what lies between the cells. */
export const arrangementGroup = {
  shape: arrangementShape,
  isMoved,
  fit: fitSpec,
  extra: extraOf,
  height: arrangedHeight,
  css: arrangementCss,
  html: arrangementHtml,
  behaviours: (s: ArrangementSettings): string[] => (inOneRow(s) ? ['carousel'] : []),
  data: (s: ArrangementSettings): Record<string, unknown> =>
    inOneRow(s) && s.moves !== 'no' ? { seconds: Number(s.moves) } : {},
}

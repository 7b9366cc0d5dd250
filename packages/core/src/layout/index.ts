export { fit, columnSteps, type Fit, type FitSpec } from './fit'
export { wholeRows } from './whole-rows'
export { lineCount, textHeight } from './text-height'

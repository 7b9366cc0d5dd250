import { type Field, type FormDefinition } from '../../../forms'
import { lineCount } from '../../../layout'
import { lookGroup, type LookSettings } from '../look'
import { formCss, ROOM, SIZES } from './css'
import { formData, type FormData } from './data'
import { formHtml, resultsHtml, type FormFact } from './html'
import { alone, withinShape, type FormSettings } from './settings'

export { resultsHtml, type FormData, type FormFact, type FormSettings }

type Sized = FormSettings & LookSettings

/** Px of a field in a width. */
function fieldHeight(field: Field, width: number, settings: Sized): number {
  if (field.is === 'hidden') return 0
  const { label, small } = lookGroup.sizedAll(SIZES, settings)
  const lines = (text: string, { size, line }: { size: number; line: number }, room = width) =>
    text ? lineCount(text.length, room, size) * size * line : 0
  const help = field.help ? lines(field.help, small) + ROOM.within : 0
  const named = lines(field.label, label) + ROOM.within
  switch (field.is) {
    case 'tick':
    case 'consent':
      return Math.max(ROOM.option, lines(field.label, label, width - 30) + 8) + help
    case 'one-of':
      return named + help + (field.shown === 'list' ? ROOM.input : field.options.length * ROOM.option)
    case 'several-of':
      return named + help + field.options.length * ROOM.option
    case 'long':
      return named + help + field.rows * 21 + 20
    default:
      return named + help + ROOM.input
  }
}

/** Px that a form takes in a width, before anything is filled in: its highest step, since one is in sight at a time. */
function formHeight(settings: Sized, width: number): number {
  const { fields } = settings
  if (!fields) return 0
  const twice = width >= ROOM.beside
  const steps = fields.steps.map(({ title, fields }) => {
    let height = title ? 30 : 0
    let besideOf: number | null = null
    for (const field of fields) {
      if (field.is === 'hidden') continue
      const isHalf = twice && field.width === 'half'
      const own = fieldHeight(field, isHalf ? (width - ROOM.gap) / 2 : width, settings)
      if (isHalf && besideOf !== null) {
        height += Math.max(0, own - besideOf)
        besideOf = null
        continue
      }
      height += own + ROOM.gap
      besideOf = isHalf ? own : null
    }
    return height
  })
  return Math.max(...steps) + (fields.steps.length > 1 ? 30 : 0) + ROOM.gap + ROOM.input + 4
}

/** Fields, what is asked with them, and what comes once they are sent. */
export const formGroup = {
  /** Within something that stands over the page. */
  shape: withinShape,
  alone,
  html: formHtml,
  css: formCss,
  data: formData,
  behaviours: ({ fields }: { fields: FormDefinition | null }) => (fields ? ['form'] : []),
  height: formHeight,
  parts: ['form', 'field', 'label', 'input', 'row', 'bars'] as const,
}

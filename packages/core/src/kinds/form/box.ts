import { lineCount, type FitSpec } from '../../layout'
import { plainText } from '../../rich-text'
import { formGroup, lookGroup } from '../groups'
import type { Box, View } from '../kind'
import type { FormKindSettings } from './settings'

// Px and multiples that the message's style sheet sets.
const SIZES = {
  heading: { of: 'heading', size: 24, line: 1.2 },
  text: { of: 'text', size: 16, line: 1.5 },
  small: { of: 'small', size: 13, line: 1.4 },
} as const
const GAP = 14
/** Px: a label and a field that can be typed into. */
const LEAST = 180

const fit = (settings: FormKindSettings): FitSpec => ({
  columns: 1,
  gap: 0,
  padding: lookGroup.inset(settings),
  cellMin: LEAST,
})

export const box: Box<FormKindSettings> = {
  one: 'a form',
  fit,
  height({ settings }: View<FormKindSettings>, width: number): number {
    const { padding } = fit(settings)
    const inner = Math.max(1, width - 2 * padding)
    const { heading, text, small } = lookGroup.sizedAll(SIZES, settings)
    const lines = (said: string, { size, line }: { size: number; line: number }) =>
      said ? lineCount(said.length, inner, size) * size * line + GAP : 0
    return Math.ceil(
      lines(settings.heading, heading) +
        lines(plainText(settings.body), text) +
        formGroup.height(settings, inner) +
        lines(settings.small, small) +
        2 * padding,
    )
  },
}

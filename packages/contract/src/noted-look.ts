import { fontFamilies } from '@pebblestrand/core/look'
import { z } from 'zod'
import { line, wholeNumber } from './fields'

const Font = line(200).refine(
  (value) => fontFamilies(value) !== null,
  'must be a list of fonts as CSS has it: Cabin, sans-serif; names with digits in quotes',
)
const Colour = z.string('is missing').regex(/^#(?:[0-9a-f]{3}|[0-9a-f]{6})$/i, 'must be a colour like #1f5f99')

/** A look as a person notes it; the files of its fonts stay as they were. */
export const NotedLook = z.object({
  bodyFont: Font,
  headingFont: Font,
  text: Colour,
  background: Colour,
  accent: Colour,
  contentWidth: wholeNumber(200, 4000),
  link: Colour.optional(),
  heading: Colour.optional(),
  button: Colour.optional(),
  buttonText: Colour.optional(),
  radius: wholeNumber(0, 200).optional(),
  spacing: wholeNumber(0, 400).optional(),
})

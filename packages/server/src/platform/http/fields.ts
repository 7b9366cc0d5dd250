import { z } from 'zod'

// Fields that many bodies have, with words that can stand after the field's label: "Width must be a whole number from 40 to 4000".

/** A text that has to be there, white space around it gone. */
export const line = (most: number) =>
  z.string('is missing').trim().min(1, 'is missing').max(most, `must have ${most} letters or fewer`)

export const wholeNumber = (min: number, max: number) => {
  const says = `must be a whole number from ${min} to ${max}`
  return z.number(says).int(says).min(min, says).max(max, says)
}

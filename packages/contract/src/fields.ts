import { z } from 'zod'

// Fields that many routes have, with words that can stand after the field's label: "Width must be a whole number from 40 to 4000".

/** A text that has to be there, white space around it gone. */
export const line = (most: number) =>
  z.string('is missing').trim().min(1, 'is missing').max(most, `must have ${most} letters or fewer`)

export const wholeNumber = (min: number, max: number) => {
  const says = `must be a whole number from ${min} to ${max}`
  return z.number(says).int(says).min(min, says).max(max, says)
}

/** A moment: a date on the server, ISO 8601 over the wire. */
export const Time = z.codec(z.iso.datetime({ offset: true }), z.date(), {
  decode: (text) => new Date(text),
  encode: (date) => date.toISOString(),
})

export const IdParams = z.object({ id: z.uuid('must be an id') })
export const Id = z.object({ id: z.uuid() })

/** Every list is paged. */
export const Paging = z.object({
  page: z.coerce.number().int().min(1).max(10_000).default(1),
  size: z.coerce.number().int().min(1).max(200).default(50),
})
export type Paging = z.infer<typeof Paging>

export const paged = <R extends z.ZodType>(row: R) =>
  z.object({ rows: z.array(row), total: z.number(), page: z.number(), size: z.number() })

export const words = z.string().trim().max(100).default('')

/** A filter that lets everything through when it is ''. */
export const maybeId = z
  .union([z.literal(''), z.uuid()])
  .default('')
  .transform((value) => value || null)

export const Json = z.record(z.string(), z.unknown())

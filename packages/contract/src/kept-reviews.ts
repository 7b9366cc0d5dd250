import { reviewFieldIds } from '@pebblestrand/core/sources/review-fields'
import { z } from 'zod'
import { IdParams, line } from './fields'
import { route } from './route'
import { Entry, SourceDetail } from './sources'

/** Letters of a file of reviews; some thousands of long ones. */
export const MOST_OF_A_FILE = 4_000_000

/** How a file is read: which column is what (from 0), how its dates are written, what its best rating is. */
export const FileReading = z.object({
  columns: z.partialRecord(z.enum(reviewFieldIds), z.number().int().min(0).max(200)),
  dates: z.enum(['year-first', 'day-first', 'month-first']),
  best: z.union([z.literal(5), z.literal(10), z.literal(100)]),
})
export type FileReading = z.infer<typeof FileReading>

const CellFault = z.object({
  line: z.number(),
  field: z.enum(reviewFieldIds),
  column: z.string(),
  shown: z.string(),
  message: z.string(),
  row: z.array(z.string()),
})

/** What a file comes to, read one way: before anything is kept, and after. */
export const ReadFile = z.object({
  heads: z.array(z.string()),
  /** The first rows as they stand in the file. */
  sample: z.array(z.array(z.string())),
  reading: FileReading,
  /** Where the reading comes from: it was used for such a file before, or it is guessed. */
  known: z.enum(['asked', 'kept', 'guessed']),
  rows: z.number(),
  /** The first of them; `faulty` counts all rows that have some. */
  faults: z.array(CellFault),
  faulty: z.number(),
  added: z.number(),
  changed: z.number(),
  same: z.number(),
  kept: z.boolean(),
})
export type ReadFile = z.infer<typeof ReadFile>

const stars = z
  .number('must be a number from 1 to 5')
  .min(1, 'must be 1 at least')
  .max(5, 'may be 5 at most')
  .nullable()
const words = (most: number) =>
  z
    .string()
    .trim()
    .max(most, `must have ${most.toLocaleString('en')} letters or fewer`)

/** A review as a person types it. */
export const TypedReview = z
  .object({
    /** Of one that is there; null for a new one. */
    key: words(600).nullable(),
    author: words(200),
    /** YYYY-MM-DD; empty where nobody knows. */
    date: z.union([z.literal(''), z.iso.date('must be a day like 2026-03-05')]),
    rating: stars,
    title: words(300),
    text: words(20_000),
    reply: words(20_000),
    language: words(35),
    labels: z.array(line(100)).max(30).default([]),
  })
  .refine(({ text, rating }) => text !== '' || rating !== null, {
    path: ['text'],
    message: 'is empty, and so are the stars',
  })
export type TypedReview = z.infer<typeof TypedReview>

export const keptReviewRoutes = {
  begin: route({
    method: 'POST',
    path: '/api/sources/kept',
    may: 'member',
    summary: 'Begin a source of reviews that are kept here',
    body: z.object({ title: line(200) }),
    answer: SourceDetail,
  }),
  readFile: route({
    method: 'POST',
    path: '/api/sources/:id/file',
    may: 'member',
    summary: 'Read reviews from CSV: what it comes to, and, where asked, keep it',
    often: { times: 120, seconds: 60 },
    big: MOST_OF_A_FILE * 3,
    params: IdParams,
    body: z.object({
      text: z.string().min(1, 'is empty').max(MOST_OF_A_FILE, 'is too long: cut the file in two'),
      /** As it was read before, or as its columns suggest, where this is left out. */
      reading: FileReading.nullish(),
      /** Nothing is kept while rows are faulty, unless they are to be left out. */
      keep: z.enum(['no', 'if all are right', 'those that are right']).default('no'),
    }),
    answer: ReadFile,
  }),
  put: route({
    method: 'PUT',
    path: '/api/sources/:id/entries',
    may: 'member',
    summary: 'Type a review, or correct one',
    params: IdParams,
    body: TypedReview,
    answer: Entry,
  }),
  drop: route({
    method: 'POST',
    path: '/api/sources/:id/entries/drop',
    may: 'member',
    summary: 'Take a review out; the answer is what it was',
    params: IdParams,
    body: z.object({ key: z.string().min(1).max(600) }),
    answer: Entry,
  }),
  save: route({
    method: 'GET',
    path: '/api/sources/:id/reviews.csv',
    may: 'member',
    summary: 'All reviews of a source as CSV',
    params: IdParams,
    answer: z.string(),
    file: true,
  }),
}

import { profiles, regionIds } from '@pebblestrand/core/snippet'
import { z } from 'zod'
import { line, wholeNumber } from '../platform/http/fields'

const Origin = line(300)
  .transform((value) => (/^https?:\/\//i.test(value) ? value : `https://${value}`))
  .refine((value) => URL.canParse(value), 'must be an address like https://ferries.example')
  .transform((value) => new URL(value).origin)

/** Every name of the IANA database counts, older spellings too; a list of supported values has only one of each. */
function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}

/** Without defaults: in a change, what is not named stays as it is. */
const facts = {
  name: line(80),
  origin: Origin,
  platform: z.enum(Object.keys(profiles) as [string, ...string[]], {
    error: `must be one of ${Object.keys(profiles).join(', ')}`,
  }),
  cacheMinutes: wholeNumber(0, 43_200),
  timeZone: z.string().refine(isTimeZone, 'must be an IANA time zone like Atlantic/Faroe'),
}

export const NewSite = z.object({
  client: line(80),
  ...facts,
  cacheMinutes: facts.cacheMinutes.default(0),
  timeZone: facts.timeZone.default('UTC'),
})

const Font = line(200).regex(/^[^;{}<>\\]+$/, 'must be a list of fonts as CSS has it: Cabin, sans-serif')
const Colour = z.string('is missing').regex(/^#(?:[0-9a-f]{3}|[0-9a-f]{6})$/i, 'must be a colour like #1f5f99')

/** A look as a person notes it; the files of its fonts stay as they were. */
const NotedLook = z.object({
  bodyFont: Font,
  headingFont: Font,
  text: Colour,
  background: Colour,
  accent: Colour,
  contentWidth: wholeNumber(200, 4000),
})

export const SiteChange = z.object({ ...facts, look: NotedLook.nullable() }).partial()

/** A path from the root, or one that ends in /* for all pages below. */
export const PagePath = z
  .string('is missing')
  .trim()
  .max(500, 'must have 500 letters or fewer')
  .regex(/^\/[^\s?#]*$/, 'must begin with / and have no spaces, ? or #')
  .refine((path) => !path.slice(0, -1).includes('*'), 'may have a * at its end only')

export const NewPage = z.object({ title: line(80), path: PagePath })
export const PageChange = NewPage.partial()

export const NewPlacement = z.object({
  pageId: z.uuid().nullish(),
  name: line(60),
  region: z.enum(regionIds),
  width: wholeNumber(40, 4000),
  selector: z
    .string()
    .trim()
    .max(300, 'must have 300 letters or fewer')
    .nullish()
    .transform((value) => value || null),
})
export const PlacementChange = NewPlacement.omit({ pageId: true }).partial()

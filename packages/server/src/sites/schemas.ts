import { profiles, regionIds } from '@pebblestrand/core/snippet'
import { z } from 'zod'

const Origin = z
  .string()
  .trim()
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

export const NewSite = z.object({
  client: z.string().trim().min(1, 'is missing').max(80),
  name: z.string().trim().min(1, 'is missing').max(80),
  origin: Origin,
  platform: z.enum(Object.keys(profiles) as [string, ...string[]], {
    error: `must be one of ${Object.keys(profiles).join(', ')}`,
  }),
  cacheMinutes: z.number().int().min(0).max(43_200, 'must be 30 days or less').default(0),
  timeZone: z.string().refine(isTimeZone, 'must be an IANA time zone like Atlantic/Faroe').default('UTC'),
})

export const SiteChange = NewSite.omit({ client: true }).partial()

/** A path from the root, or one that ends in /* for all pages below. */
export const PagePath = z
  .string()
  .trim()
  .max(500)
  .regex(/^\/[^\s?#]*$/, 'must begin with / and have no spaces, ? or #')
  .refine((path) => !path.slice(0, -1).includes('*'), 'may have a * at its end only')

export const NewPage = z.object({ title: z.string().trim().min(1, 'is missing').max(80), path: PagePath })
export const PageChange = NewPage.partial()

export const NewPlacement = z.object({
  pageId: z.uuid().nullish(),
  name: z.string().trim().min(1, 'is missing').max(60),
  region: z.enum(regionIds),
  width: z.number().int().min(40, 'must be 40 px or more').max(4000, 'must be 4000 px or less'),
  selector: z
    .string()
    .trim()
    .max(300)
    .nullish()
    .transform((value) => value || null),
})
export const PlacementChange = NewPlacement.omit({ pageId: true }).partial()

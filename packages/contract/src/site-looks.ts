import { z } from 'zod'
import { IdParams, wholeNumber } from './fields'
import { NotedLook } from './noted-look'
import { route } from './route'
import { SiteDetail } from './sites'

const takenText = z.object({ value: z.string(), from: z.string() }).nullable()
const takenNumber = z.object({ value: z.number(), from: z.string() }).nullable()
const FontFaces = z.array(
  z.object({ family: z.string().max(200), src: z.url({ protocol: /^https?$/ }).max(2000), weight: z.string().max(20) }),
)

/** What a page shows of its look, each piece with where it was read. */
export const LookReading = z.object({
  url: z.string(),
  /** By a browser, or from style sheets where there is none. */
  how: z.enum(['browser', 'style-sheets']),
  look: z.object({
    bodyFont: takenText,
    headingFont: takenText,
    text: takenText,
    background: takenText,
    accent: takenText,
    link: takenText,
    heading: takenText,
    button: takenText,
    buttonText: takenText,
    radius: takenNumber,
    contentWidth: takenNumber,
    spacing: takenNumber,
    fontFaces: FontFaces,
  }),
})
export type LookReading = z.infer<typeof LookReading>

export const siteLookRoutes = {
  read: route({
    method: 'POST',
    path: '/api/sites/:id/look/read',
    may: 'member',
    summary: 'See what a page of the site looks like: fonts, colours, corners, widths',
    params: IdParams,
    body: z.object({ address: z.string().trim().max(2000).default('') }),
    answer: LookReading,
    often: { times: 20, seconds: 60 },
  }),
  take: route({
    method: 'PUT',
    path: '/api/sites/:id/look',
    may: 'member',
    summary: 'Note the pieces of a look; the others stay as they are',
    params: IdParams,
    body: z.object({
      pieces: NotedLook.omit({ contentWidth: true }).partial(),
      contentWidth: wholeNumber(200, 4000).optional(),
      fontFaces: FontFaces.max(40).optional(),
    }),
    answer: SiteDetail,
  }),
  keep: route({
    method: 'DELETE',
    path: '/api/sites/:id/look/changes',
    may: 'member',
    summary: 'Keep what is noted, although the site looks otherwise now',
    params: IdParams,
    answer: SiteDetail,
  }),
}

import { z } from 'zod'
import { regionIds } from './region'
import { sandboxTokens } from './sandbox'
import { addressFates, markupFates, shortcodeFates } from './snippet-part'

const id = z.string().regex(/^[a-z][a-z0-9-]{0,39}$/, 'must be small letters, digits and hyphens, up to 40')
const name = z.string().trim().min(1, 'is missing').max(60, 'must have 60 letters or fewer')
const clause = z.string().trim().min(1, 'is missing').max(300, 'must have 300 letters or fewer')
const px = z
  .number('must be a number')
  .int('must be a whole number')
  .min(20, 'must be 20 or more')
  .max(4000, 'must be 4000 or less')
const markup = z.enum(markupFates, { error: `must be one of ${markupFates.join(', ')}` })

/** Where a box puts what is pasted into it: a region, or the head of the page. */
export const boxPlaces = [...regionIds, 'head'] as const
export type BoxPlace = (typeof boxPlaces)[number]

/** What a box makes of each part of a snippet. */
const Treatment = z.strictObject({
  element: markup,
  data: markup,
  style: markup,
  script: markup,
  frame: markup,
  picture: markup,
  address: z.enum(addressFates, { error: `must be one of ${addressFates.join(', ')}` }),
  shortcode: z.enum(shortcodeFates, { error: `must be one of ${shortcodeFates.join(', ')}` }),
})

/** All of it stands in a frame of the platform's own. Without sizes it is as large as the person draws it. */
const OwnFrame = z.strictObject({
  sandbox: z.array(z.enum(sandboxTokens)).max(sandboxTokens.length).nullable(),
  width: px.nullable().default(null),
  height: px.nullable().default(null),
})

export const EditorBox = z.strictObject({
  id,
  /** As the platform's own editor calls it. */
  name,
  places: z.array(z.enum(boxPlaces)).min(1, 'must name a region').max(boxPlaces.length),
  treats: Treatment,
  ownFrame: OwnFrame.nullable().default(null),
  /** What stands in it is on every page. */
  everyPage: z.boolean().default(false),
  /** Who may use it: everyone who writes there, or only who owns the site. */
  who: z.enum(['editors', 'owners']).default('editors'),
  /** Letters that it takes at most. */
  most: z.number().int().min(50).max(1_000_000).nullable().default(null),
  /** What it does to straight quotes in words. */
  quotes: z.enum(['straight', 'typographic']).default('straight'),
  /** What has to be known of it, as a sentence. */
  note: clause.nullable().default(null),
})
/** One box of a platform's editor into which a snippet can be pasted. */
export type EditorBox = z.output<typeof EditorBox>

export const stepIds = ['open', 'paste', 'allow', 'save', 'publish', 'cache', 'look'] as const
export type StepId = (typeof stepIds)[number]

const ProfileStep = z.strictObject({
  id: z.enum(stepIds),
  does: z.string().trim().min(1, 'is missing').max(500, 'must have 500 letters or fewer'),
})
/** One thing to do there. `{page}`, `{region}`, `{box}` and `{cache}` are filled in; `**` marks what stands on the screen. */
export type ProfileStep = z.output<typeof ProfileStep>

const CacheLayer = z.strictObject({
  id,
  name,
  /** Whether it goes by itself when a page is published, is cleared by a person, or by nobody who edits the site. */
  clears: z.enum(['by itself', 'by hand', 'by waiting']),
})
export type CacheLayer = z.output<typeof CacheLayer>

/** Where a sign stands: the word for the program that wrote the page, an address the page names, a header as `name: value`, a class or id. */
export const signPlaces = ['generator', 'address', 'header', 'name'] as const

const Sign = z.strictObject({
  of: z.enum(signPlaces),
  /** `*` stands for any letters, `?` for one; capitals make no difference. */
  like: z.string().min(1).max(120),
  /** As a clause that follows "read from". */
  says: clause,
})
/** Something in a site's pages that speaks for a platform, as what it is and never by whose it is. */
export type Sign = z.output<typeof Sign>

/** Our record of what a site platform's editor accepts, where one pastes, how one publishes and clears its cache. */
export const PlatformProfile = z.strictObject({
  id,
  name,
  /** Best first, as a person would try them. */
  boxes: z
    .array(EditorBox)
    .min(1, 'must have a box')
    .max(30, 'may be 30 at most')
    .refine((boxes) => new Set(boxes.map((box) => box.id)).size === boxes.length, 'must each have an id of their own'),
  /** What saving does, and what shows it to visitors: saving itself, a button, or a version of the whole site. */
  publishing: z.enum(['at once', 'by page', 'by site']),
  /** Outermost first. */
  caches: z.array(CacheLayer).max(6),
  /** Whether a visitor's way from page to page loads each anew. */
  navigation: z.enum(['loads', 'without loading']),
  /** Whether a connector can be put in there that replaces our shortcodes. */
  connector: z.boolean(),
  /** The content security policy that its sites commonly have; a look at the site itself counts for more. */
  policy: z.string().max(2000).nullable(),
  steps: z.array(ProfileStep).min(1, 'must have a step').max(20),
  /** By what a site that is built with it is told; none where nothing speaks for it. */
  signs: z.array(Sign).max(20),
  /** The platform's next step, as a clause that can stand in a finding. */
  words: z.strictObject({ publish: clause, cache: clause, codeBox: clause }),
})
export type PlatformProfile = z.output<typeof PlatformProfile>

/** The schema of a profile as a file, as docs/platform-profile.schema.json has it. */
export const profileSchema = () =>
  z.toJSONSchema(PlatformProfile.meta({ title: 'A platform profile' }), { io: 'input' }) as Record<string, unknown>

import type { z } from 'zod'
import type { DeliverySettings, FormDefinition } from '../forms'
import type { BodyType, Item, Picture, PictureRole } from '../items'
import type { FitSpec } from '../layout'
import type { CreditLook, ShippedFace, SiteColours } from '../look'
import type { Pair } from './groups/look'
import type { PartName } from './parts'
import type { Order, Rule } from '../sieve'
import type { Pictured } from '../pictured'
import type { PresenceRules } from '../presence'
import type { Given, SourceFacts } from '../sources'
import type { PhraseWish, SharedPhrase } from '../phrases'
import type { RatingSummary } from '../stats'

/** Settings as they are stored: JSON whose members a kind's schema knows. */
export type Settings = Record<string, unknown>

/** What a widget is rendered from. */
export interface View<S> {
  settings: S
  /** The items that passed the sieve, in order; none for a kind without content. */
  items: readonly Item[]
  /** What the ratings of all items come to, those that the sieve took out too; of `items` alone where it is left out. */
  ratings?: RatingSummary
  /** What many of all items say in the same words, where the kind asks for it. */
  phrases?: readonly SharedPhrase[]
  context: RenderContext
}

/** The line of whoever made it. */
export interface Credit {
  words: string
  link: string
  look: CreditLook
}

/** What a widget's words hang on where it stands. */
export interface Around {
  /** The page's, as its `lang` says it; null where nobody knows. */
  language: string | null
  /** IANA name. */
  timeZone: string
  /** Null for none. */
  credit: Credit | null
}

export interface RenderContext {
  /** Left out: the usual. */
  around?: Around
  /** Said where a frame or a section needs a title. */
  widgetName: string
  sources: Record<string, { title: string; link: string | null } & Partial<SourceFacts>>
  /** What the server knows of an install beside its items, by name (`Kind.facts`); a kind reads only its own. */
  facts: Record<string, unknown>
  /** Our copies of the pictures at the addresses that its settings name (`Kind.pictureAddresses`). */
  pictures?: Record<string, Picture>
  /** Another widget that stands in it (`Kind.inside`), as it looks there. */
  inside?: Rendered
}

/** A shipped font to load into the page's document. */
export type RenderedFont = ShippedFace

/** What a widget becomes: strings, the same for script, frame, stage and thumbnail. Nothing in it needs a kind's code. */
export interface Rendered {
  html: string
  /** `:host` is the widget's own element. No inline styles in `html`: a strict style policy would stop them. */
  css: string
  font: RenderedFont | null
  /** Names of modules that a visitor's browser loads for it (packages/widget/src/behaviours). */
  behaviours: readonly string[]
  /** What the behaviours work with. */
  data: Record<string, unknown>
  /** What comes when a visitor asks for more, part by part; left out where all is there at once. */
  more?: readonly Part[]
}

/** More of a list that is shown already. */
export interface Part {
  /** Cells that come after those that are there. */
  html: string
  /** Rules that come with them. */
  css: string
  data: Record<string, unknown>
}

export interface Starter<S> {
  id: string
  name: string
  settings: Partial<S>
  /** Of a form: what becomes of what is sent, where that is not as usual. */
  delivery?: Partial<DeliverySettings>
}

/** Content to look at until there is some of one's own. */
export interface Sample {
  items: Item[]
  facts: Record<string, unknown>
}

/** How a kind comes by its items. */
export interface Content<S> {
  /** What items are called: "headlines". */
  many: string
  bodies: readonly BodyType[]
  /** Facts of its sources that it is made of instead. */
  facts?: readonly Exclude<Given, BodyType>[]
  sourceIds(settings: S): string[]
  rules(settings: S): Rule[]
  order(settings: S): Order
  /** Which pictures of its items are shown; none where it is left out. */
  pictures?(settings: S): readonly PictureRole[]
  /** Whether the sources' own pictures are shown. */
  sourcePicture?(settings: S): boolean
  /** What to set so that one of the rules takes nothing out any more; null for one that has no setting of its own. */
  loosened?(rule: Rule): Settings | null
  /** Which phrases that many items share are shown: found, in a language, or chosen by hand; null for none. */
  phrases?(settings: S): PhraseWish | null
  /** Whether its settings hold what it shows, so that it needs no source. */
  isWritten?(settings: S): boolean
  /** Whether nothing is shown. Left out: where no item is left. */
  isEmpty?(view: View<S>): boolean
}

/** The room a kind takes in a placement. */
export interface Box<S> {
  /** One cell, with its article: "a headline". */
  one: string
  fit(settings: S): FitSpec
  /** Cells' places that a large one takes beside its own, where so many columns are shown; none where it is left out. */
  extra?(settings: S, columns: number): number
  /** What would let a cell be narrower, as a button that does it; null where nothing would. */
  relief?(settings: S): { words: string; change: Partial<S> } | null
  /** Height in px that it takes in a width; for the space a snippet reserves. */
  height(view: View<S>, width: number): number
}

/** Over the page instead of in a placement: an install then needs none. */
export interface Presence {
  overPage: true
  /** When it appears, by the clocks of a site (IANA); left out: it is always there. */
  rules?(timeZone: string): PresenceRules
}

/** A widget kind: one folder of facets. What it leaves out it has no part in. */
export interface Kind<S = Settings> {
  id: string
  name: string
  /** One line that says what it is for. */
  purpose: string
  /** Of the settings' shape; grows by one when stored settings need `upgrade`. */
  version: number
  /** From a version to the next. Gets settings as they were stored, gives them as the next version stores them. */
  upgrade: Record<number, (stored: Settings) => Settings>
  /** Strict: what is written has no unknown members. Each setting has a default and its words (setting.ts). */
  settings: z.ZodType<S> & { shape: Record<string, z.ZodType> }
  starters: Starter<S>[]
  /** @param origin where pictures that ship with Pebblestrand are found */
  sample(origin: string): Sample
  render(view: View<S>): Rendered
  content?: Content<S>
  /** What a picture of it says, for places that take nothing but a picture; null where there is nothing to say. */
  pictured?(view: View<S>): Pictured | null
  box?: Box<S>
  /** Pieces that own CSS can name, beside the whole and the agency's line. */
  parts: readonly PartName[]
  /** Over the page, with these settings; null where it stands in a placement. */
  presence?(settings: S): Presence | null
  /** Addresses of pictures that its settings name; visitors get our copies of them. */
  pictureAddresses?(settings: S): readonly string[]
  /** Id of another widget that stands in it; null for none. */
  inside?(settings: S): string | null
  /** What it asks visitors for; null where it asks for nothing. */
  form?(settings: S): FormDefinition | null
  /** Names of what the server is to know of each install (`RenderContext.facts`); left out: every install looks alike. */
  facts?: readonly string[]
  /** Every two colours that meet in it, on a site of these colours. */
  pairs?(settings: S, site: SiteColours): Pair[]
}

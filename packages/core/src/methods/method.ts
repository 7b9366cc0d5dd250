import type { Element } from 'domhandler'
import type { EditorBox, SnippetPart } from '../platforms'
import type { Circumstances, LossId, Outcome } from './outcome'
import type { OpenerLook } from './opener-looks'
import type { TextForm } from './text-forms'

/** What a snippet is written from. */
export interface SnippetRequest {
  /** Where this Pebblestrand answers: scheme, host and port, no slash at the end. */
  origin: string
  publicId: string
  /** Name of the widget and of who looks after it, said in a comment. */
  name: string
  agency: string
  /** Of the placement, and what the widget takes there; px. */
  width: number
  height: number
  /** The same on narrower windows, where it is known and differs. */
  narrower?: { tablet?: number; phone?: number }
  /** One version of the script instead of the newest, which the browser holds against its integrity value (W3C SRI). */
  pinned?: { version: string; integrity: string }
  /** A nonce of the page's content security policy, where the site writes one into its own scripts. */
  nonce?: string
  /** Whether a press plays a film in it: a frame has to be allowed that. */
  plays?: boolean
  /** Whether it has a form. */
  asks?: boolean
  /** Whether a frame is made as high as what is in it, by the script beside it. */
  grows?: boolean
  /** What of it stands in a picture: px, and what that says; left out until it is drawn. */
  still?: { width: number; height: number; says: string }
  /** The picture as a drawing (SVG) instead of as dots (PNG). */
  drawing?: boolean
  /** What opens it: a link, one that looks like a button, a picture, or something that stands there already. */
  opens?: { by: OpenerLook; words?: string; picture?: string }
  form?: TextForm
  /** Whether a comment says what it is and who put it there; with one, where nothing is said. */
  signed?: boolean
}

/** What an element on a page says of the snippet it belongs to. */
export interface ElementReading {
  publicId: string
  /** Where it loads from; null where another element says it. */
  origin: string | null
  /** The mark of the text it was pasted from; null where it carries none. */
  version: string | null
  /** It loads only when the visitor has agreed to something, or pressed something. */
  waitsFor?: 'agreement' | 'click'
}

/** What a script element of ours says. */
export interface ScriptReading {
  origin: string
  /** False where browsers leave it alone: its type was changed, its address taken away. */
  runs: boolean
}

/** Directives of a content security policy and the sources each must allow (CSP Level 3). */
export type PolicyNeeds = Record<string, readonly string[]>

/** One way to embed: written and read in the same file, so that what is written is what is looked for. */
export interface Method {
  id: string
  name: string
  short: string
  /** Why it can be taken, as a clause with the blanks `{box}` and `{region}`. */
  taken: string
  /** What it gives that others do not, as a clause; where it loses some of that, what is left. */
  gives: string | ((lost: readonly LossId[]) => string)
  /** What to say of it where another method is advised, as a clause. */
  besides: string | ((lost: readonly LossId[]) => string)
  /** What an editor's box must keep; the last one is what it fails by. */
  needs: readonly SnippetPart[]
  /** The form of an install's artefacts that it loads. */
  artefact: string
  /** What the page's policy must allow. */
  policy(origin: string): PolicyNeeds
  /** What comes of its text in a box of an editor. */
  foretell(box: EditorBox, about: Circumstances): Outcome
  /** The exact text to paste. Every value is escaped for where it stands. */
  text(request: SnippetRequest): string
  /** What a page's element says, where it is this method's; null where not. */
  read(element: Element): ElementReading | null
  /** What stands right before the id in its text, for pages that show the code instead of running it. */
  beforeId: readonly string[]
  /** What a script element of this method says, also where it was changed so that it does not run. */
  readScript?(element: Element): ScriptReading | null
  /** What it leaves when an editor takes its element away: the id, from a link of its own. */
  readRemnant?(element: Element): string | null
}

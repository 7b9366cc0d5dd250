import type { Region } from './region'

/** What an editor's box may keep of what is pasted into it, as findings and advice say it. */
export const capabilities = {
  element: 'elements',
  script: 'scripts',
  frame: 'frames',
} as const
export type Capability = keyof typeof capabilities

/** One box of a platform's editor into which a snippet can be pasted. */
export interface EditorBox {
  id: string
  /** As the platform's own editor calls it. */
  name: string
  regions: readonly Region[]
  /** What survives being pasted and saved. */
  keeps: Record<Capability, boolean>
  /** What becomes of what it does not keep. */
  otherwise: 'escapes' | 'strips'
}

export type StepId = 'open' | 'paste' | 'save' | 'publish' | 'cache' | 'look'

/** One thing to do there. `{page}`, `{region}`, `{box}` and `{cache}` are filled in; `**` marks what stands on the screen. */
export interface ProfileStep {
  id: StepId
  does: string
}

/** Something in a site's pages that speaks for a platform, as what it is and never by whose it is. */
export interface Sign {
  /** Where it stands: the word for the program that wrote the page, an address the page names, a header as `name: value`. */
  of: 'generator' | 'address' | 'header'
  like: RegExp
  /** As a clause that follows "read from". */
  says: string
}

/** Our record of what a site platform's editor accepts, where one pastes, how one publishes and clears its cache. */
export interface PlatformProfile {
  id: string
  name: string
  boxes: readonly EditorBox[]
  steps: readonly ProfileStep[]
  /** By what a site that is built with it is told; none where nothing speaks for it. */
  signs: readonly Sign[]
  /** The platform's next step, as a clause that can stand in a finding. */
  words: { publish: string; cache: string; codeBox: string }
}

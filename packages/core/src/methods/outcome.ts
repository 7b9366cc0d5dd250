/** What decides how a method fares, beside the box it is pasted into. */
export interface Circumstances {
  /** Where this Pebblestrand answers. */
  origin: string
  /** Null for a widget that stands over the page. */
  region: string | null
  /** What the widget does beyond standing there. */
  behaviours: readonly string[]
  /** Whether a connector on the site replaces shortcodes. */
  connector: boolean
  /** Whether a visitor's way from page to page of the site loads each anew. */
  navigation: 'loads' | 'without loading'
  /** The site's tag. */
  tag: 'none' | 'planned' | 'confirmed'
  /** Whether the placement has a selector by which the tag finds it. */
  selector: boolean
  /** Whether there is a picture of it. */
  pictured?: boolean
  /** Origins of the players that open in it; none where nothing plays. */
  players?: readonly string[]
  /** Whether the site's permissions policy keeps a feature from frames of an origin. */
  withholds?(feature: string, origins: readonly string[]): boolean
  /** What of a method's needs the site's policy refuses, and what to add to it; null where it lets all through. */
  refused(needs: Record<string, readonly string[]>): { problem: string; rule: string | null } | null
}

/** What a visitor meets in the end. */
export const endings = {
  shown: { name: 'it shows', order: 0 },
  blocked: { name: 'blocked until the site allows it', order: 1 },
  link: { name: 'only a link stays', order: 2 },
  code: { name: 'visitors read its code', order: 3 },
  nothing: { name: 'nothing is left of it', order: 4 },
} as const
export type Ending = keyof typeof endings

/** What would be lost although it shows, by weight: how much a visitor misses. */
export const losses = {
  overPage: { weight: 9, says: 'it cannot stand over the page from within that frame' },
  still: { weight: 8, says: 'nothing in it moves, opens or counts' },
  size: { weight: 4, says: 'it is cut off where the box that is drawn for it ends' },
  picture: { weight: 20, says: 'it is a picture: all of it leads to one page, and nothing in it can be chosen' },
  pressed: { weight: 12, says: 'it shows only to visitors who press what opens it' },
  growth: { weight: 3, says: 'its height is fixed: a longer list scrolls inside it' },
  tagFirst: { weight: 5, says: 'its site tag has to be pasted first, once, into the head of every page' },
  arrives: { weight: 0, says: 'what stands below it moves when it comes, since no room is kept in the page' },
  owner: { weight: 1, says: 'only who owns the site can do that' },
  more: { weight: 2, says: 'what the button brings scrolls within the frame' },
  enlarge: { weight: 2, says: 'what a press enlarges stays as small as the frame' },
  links: { weight: 2, says: 'its links do not open from within that frame' },
  screen: {
    weight: 1,
    says: 'its films cannot fill the screen: the permissions policy of the site keeps that from frames',
  },
  font: { weight: 1, says: "it cannot take the page's own font" },
  unloaded: {
    weight: 2,
    says: 'who comes from another page of the site sees only its link, since pages change there without loading',
  },
  jump: { weight: 1, says: 'the page jumps when it comes, since the room kept for it is stripped' },
  edge: { weight: 1, says: 'it gets an edge, since styles are stripped' },
} as const
export type LossId = keyof typeof losses

export interface Outcome {
  ends: Ending
  losses: LossId[]
  /** What stops it or changes it, as a clause. */
  because?: string
  /** What would let it through, ready to copy; null where no rule does. */
  rule?: string | null
}

export const shown = (...lost: (LossId | false)[]): Outcome => ({
  ends: 'shown',
  losses: lost.filter((one) => one !== false),
})
export const ended = (ends: Ending, because: string): Outcome => ({ ends, losses: [], because })
export const weightOf = ({ losses: lost }: Outcome) => lost.reduce((sum, id) => sum + losses[id].weight, 0)

import { noGrants, type Grants } from '../accounts/grants'
import type { Trouble } from '../accounts/limits'

/** A post as the service keeps it. */
export interface KeptPost {
  id: string
  /** Id of the profile it is of. */
  profile: string
  caption: string
  /** ISO 8601. */
  at: string
  /** In their order: names of drawings and their shape, px. */
  pictures: { name: string; width: number; height: number; alt: string }[]
  /** Of a clip; the picture then stands for it. */
  seconds: number | null
  likes: number
  comments: number
}

/** What the photo service remembers beside what it was born with. */
export interface FramesState extends Grants, Trouble {
  added: KeptPost[]
  deleted: string[]
  /** By a profile's id, the handle it has taken since, oldest first. */
  handles: Record<string, string[]>
  closed: string[]
}

export const freshFrames = (): FramesState => ({
  added: [],
  deleted: [],
  handles: {},
  closed: [],
  outage: false,
  quota: { requests: 200, seconds: 10 },
  ...noGrants(),
})

export const tagsIn = (caption: string): string[] =>
  [...caption.matchAll(/#([\p{L}\p{N}_]+)/gu)].map(([, tag]) => tag!.toLowerCase())
export const namedIn = (caption: string): string[] =>
  [...caption.matchAll(/@([a-z0-9._]*[a-z0-9_])/gi)].map(([, handle]) => handle!.toLowerCase())

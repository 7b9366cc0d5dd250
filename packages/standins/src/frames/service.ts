import { GrantDesk } from '../accounts/grants'
import { stream } from '../drawing/stream'
import type { Store } from '../state/store'
import { accounts, profiles, type Profile } from './profiles'
import { namedIn, tagsIn, type FramesState, type KeptPost } from './state'

const DAY = 86_400_000
/** Shapes that people post, px. */
const SHAPES = [
  [1080, 1080],
  [1080, 1350],
  [1080, 720],
  [1080, 1440],
] as const

/** What came of looking a handle up. */
export type Lookup =
  { what: 'profile'; profile: Profile } | { what: 'moved'; to: string } | { what: 'gone' | 'unknown' }

/** Profiles and their posts: what the service was born with, and what people have changed since. */
export class Frames {
  readonly desk = new GrantDesk(
    accounts,
    () => this.state,
    (edit) => this.change(edit),
  )
  private readonly born = new Map<string, KeptPost[]>()

  constructor(private readonly store: Store) {}

  get state() {
    return this.store.frames
  }
  change = (edit: (frames: FramesState) => void) => this.store.changeFrames(edit)

  readonly all: readonly Profile[] = profiles
  handleOf = ({ id, handle }: Profile): string => this.state.handles[id]?.at(-1) ?? handle

  lookUp(name: string): Lookup {
    const wanted = name.toLowerCase()
    const profile = profiles.find((one) => one.id === wanted || this.handleOf(one) === wanted)
    if (profile) return this.isClosed(profile) ? { what: 'gone' } : { what: 'profile', profile }
    const moved = profiles.find((one) => one.formerly === wanted || this.handlesBefore(one).includes(wanted))
    return moved ? { what: 'moved', to: this.handleOf(moved) } : { what: 'unknown' }
  }

  private handlesBefore = ({ id, handle }: Profile) => [handle, ...(this.state.handles[id] ?? [])]
  private isClosed = ({ id, isClosed }: Profile) => Boolean(isClosed) || this.state.closed.includes(id)

  /** Names and handles that hold all the words. */
  find(words: string): Profile[] {
    const wanted = words.toLowerCase().split(/\s+/).filter(Boolean)
    return profiles.filter((one) => {
      const text = `${one.name} ${this.handleOf(one)}`.toLowerCase()
      return wanted.length > 0 && !this.isClosed(one) && wanted.every((word) => text.includes(word))
    })
  }

  /** Who may see a profile's posts. */
  letsIn = (profile: Profile, account: string | null) =>
    !profile.isPrivate || Boolean(accounts.find(({ id }) => id === account)?.owns(profile))

  /** The newest first. */
  posts(profile: Profile): KeptPost[] {
    return this.shown([...this.state.added.filter((one) => one.profile === profile.id), ...this.bornOf(profile)])
  }
  private open = () => profiles.filter((one) => !one.isPrivate && !this.isClosed(one)).flatMap((one) => this.posts(one))
  tagged = (tag: string): KeptPost[] => this.shown(this.open().filter(({ caption }) => tagsIn(caption).includes(tag)))
  naming = (profile: Profile): KeptPost[] =>
    this.shown(this.open().filter(({ caption }) => namedIn(caption).includes(this.handleOf(profile))))

  private shown(all: readonly KeptPost[]): KeptPost[] {
    const gone = new Set(this.state.deleted)
    return all.filter(({ id }) => !gone.has(id)).sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : 0))
  }

  private bornOf(profile: Profile): KeptPost[] {
    const known = this.born.get(profile.id)
    if (known) return known
    const all = Array.from({ length: profile.posts }, (_, at) => born(profile, at, this.store.startedAt.getTime()))
    this.born.set(profile.id, all)
    return all
  }
}

/** Every fifth post has several pictures, every ninth is a clip; the loud one posts by the hour. */
function born(profile: Profile, at: number, start: number): KeptPost {
  const next = stream(`${profile.id}-${at}`)
  const apart = profile.posts > 100 ? DAY / 24 : DAY * 2.6
  const clip = at % 9 === 4
  const count = clip ? 1 : at % 5 === 2 ? 2 + (at % 3) : 1
  const caption = profile.captions[at % profile.captions.length]!
  return {
    id: `${profile.handle.replace(/\W/g, '')}${String(at).padStart(3, '0')}`,
    profile: profile.id,
    caption,
    at: new Date(start - (at + 0.3) * apart).toISOString(),
    pictures: Array.from({ length: count }, (_, one) => {
      const scene = profile.scenes[(at + one) % profile.scenes.length]!
      const [width, height] = SHAPES[Math.floor(next() * SHAPES.length)]!
      return { name: `${scene}-${profile.id}${at * 7 + one}`, width, height, alt: altOf[scene] }
    }),
    seconds: clip ? 8 + Math.floor(next() * 50) : null,
    likes: Math.floor(next() * profile.followers * 0.2),
    comments: Math.floor(next() * 30),
  }
}

const altOf = {
  boat: 'A boat on the sound, hills behind',
  pot: 'Pots on a shelf',
  clock: 'A round clock on a wooden wall',
  knot: 'A knotted rope on a dark board',
  stars: 'Stars above the observatory’s dome',
  cat: 'A cat before a window',
  wheel: 'A bicycle wheel by a wall',
  orchard: 'Apple trees full of fruit',
  shore: 'Hills above the water',
} as const

import { limited } from '@pebblestrand/core/sources'
import {
  entryOf,
  photoService,
  PostsAnswer,
  ProfileAnswer,
  streamAt,
  type ServicePost,
  type Stream,
} from '@pebblestrand/core/sources/photo-service'
import { z } from 'zod'
import type { Context } from '../../platform/context'
import type { TellProgress } from '../connector'
import type { Known, SourceReading } from '../reading'
import { Service, ServiceFault } from '../service/ask'
import { withToken } from '../service/tokens'
import { contentHash } from '../store-items'
import { profileFault } from './profile-fault'

const PAGE = 50
/** Faults of a profile that is there and shows its posts to others only. */
const CLOSED = ['private', 'not-let-in']

/** What is remembered of a stream: the profile's id, which stays when its handle changes. */
const State = z.object({ profileId: z.string() })

/** Reads the newest posts of a profile, of a tag, or those that name a profile. */
export async function readStream(
  context: Context,
  known: Known,
  until?: AbortSignal,
  tell: TellProgress = () => {},
): Promise<SourceReading> {
  const stream = streamAt(known.url)
  if (!stream)
    return {
      kind: 'fault',
      fault: { code: 'no-profile', message: 'This is no address of a profile or a tag.', remedy: 'Paste it anew.' },
    }
  try {
    return await withToken(context, 'photos', known.accountId ?? null, (token) =>
      readBy(new Service({ context, service: 'photos', faultOf: profileFault, token, until }), stream, known, tell),
    )
  } catch (error) {
    if (error instanceof ServiceFault) return { kind: 'fault', fault: error.fault }
    throw error
  }
}

export const profileAt = (service: Service, name: string) =>
  service.get(`/api/profiles/${encodeURIComponent(name)}`, ProfileAnswer)

async function readBy(service: Service, stream: Stream, known: Known, tell: TellProgress): Promise<SourceReading> {
  const id = State.safeParse(known.state).data?.profileId
  const profile = stream.of === 'tag' ? null : await profileAt(service, id ?? stream.name)
  const { posts, total, fault } = await newest(service, profile ? { ...stream, name: profile.id } : stream, tell)
    .then((all) => ({ ...all, fault: undefined }))
    .catch((error: unknown) => {
      // A profile is there, though it keeps its posts to itself.
      if (!profile || !(error instanceof ServiceFault) || !CLOSED.includes(error.fault.code)) throw error
      return { posts: [], total: 0, fault: error.fault }
    })
  const read = limited({
    format: 'photo-service',
    title: titleOf(stream, profile),
    link: profile ? `${service.origin}${profile.page}` : known.url,
    language: null,
    picture: profile?.picture ? { url: profile.picture, width: null, height: null, alt: '' } : null,
    profile: profile && {
      handle: profile.handle,
      bio: profile.bio,
      counts: {
        posts: profile.counts.posts ?? null,
        followers: profile.counts.followers ?? null,
        following: profile.counts.following ?? null,
      },
    },
    entries: posts.map((post) => entryOf(post, service.origin)),
  })
  return {
    kind: 'read',
    read,
    url: known.url,
    extent: posts.length < total ? 'window' : 'whole',
    hash: contentHash(Buffer.from(JSON.stringify([read.title, read.picture, read.profile, read.entries]))),
    state: profile ? { profileId: profile.id } : null,
    fault,
  }
}

const titleOf = ({ of, name }: Stream, profile: ProfileAnswer | null) =>
  of === 'tag' ? `#${name}` : of === 'named' ? `Posts that name ${profile!.name}` : profile!.name

const pathOf = ({ of, name }: Stream) =>
  of === 'tag' ? `/api/tags/${encodeURIComponent(name)}/posts` : `/api/profiles/${encodeURIComponent(name)}/${of}`

/** The newest posts of a stream, at most as many as are kept, each once. */
export async function newest(
  service: Service,
  stream: Stream,
  tell: TellProgress = () => {},
  most = photoService.keeps,
): Promise<{ posts: ServicePost[]; total: number }> {
  const posts = new Map<string, ServicePost>()
  let total = 0
  for (let after: string | null = ''; after !== null && posts.size < most;) {
    const from: string = after && `&after=${encodeURIComponent(after)}`
    const page: z.infer<typeof PostsAnswer> = await service.get(
      `${pathOf(stream)}?limit=${Math.min(PAGE, most - posts.size)}${from}`,
      PostsAnswer,
    )
    for (const post of page.posts) posts.set(post.id, post)
    total = page.total
    tell({ read: posts.size, of: Math.min(total, most) })
    after = page.next
  }
  return { posts: [...posts.values()], total }
}

import type { FoundSource } from '@pebblestrand/contract'
import { readingOf } from '@pebblestrand/core/items'
import type { Meant } from '@pebblestrand/core/sources'
import {
  entryOf,
  pageOf,
  photoService,
  ProfilesAnswer,
  streamOf,
  type ProfileAnswer,
  type Stream,
} from '@pebblestrand/core/sources/photo-service'
import type { Context } from '../../platform/context'
import { AppError } from '../../platform/errors'
import type { Finding, Search } from '../connector'
import { Service, ServiceFault } from '../service/ask'
import { idsBehind } from '../service/ids-behind'
import { newHandle, profileFault } from './profile-fault'
import { newest, profileAt } from './read-stream'

const MOST_FOUND = 6
const PREVIEW = 3

const INSTEAD =
  'Paste the address of the profile or of a post, its handle with or without the @, or a tag with its # before it.'
const NONE = { field: 'address', message: 'no profile was found by it' }

/** Profiles by handle, by words, or behind a page of the service, and tags, each with its newest posts. */
export async function findProfiles(context: Context, meant: Meant, { tell }: Search): Promise<Finding> {
  const service = new Service({ context, service: 'photos', faultOf: profileFault, token: null })
  try {
    const { found, outcome } = await streamsMeant(context, service, meant)
    const tried = {
      url: 'words' in meant ? meant.words : 'id' in meant ? meant.id.replace(/^\w+:/, '') : meant.address,
      outcome,
    }
    tell(tried)
    if (!found.length) throw new AppError('no-profile', { remedy: INSTEAD, data: { tried: [tried] }, issues: [NONE] })
    return { found, tried: [tried] }
  } catch (error) {
    if (!(error instanceof ServiceFault)) throw error
    const { code, message, remedy } = error.fault
    if (code === 'gone') throw new AppError('no-profile', { message, remedy: INSTEAD, issues: [NONE] })
    throw new AppError('fetch-failed', { message, remedy, issues: [{ field: 'address', message }] })
  }
}

async function streamsMeant(
  context: Context,
  service: Service,
  meant: Meant,
): Promise<{ found: FoundSource[]; outcome: string }> {
  if (meant.what === 'words') {
    const { profiles } = await service.get(`/api/profiles?q=${encodeURIComponent(meant.words)}`, ProfilesAnswer)
    const found = await Promise.all(
      profiles.slice(0, MOST_FOUND).map((profile) => described(service, 'posts', profile)),
    )
    return {
      found,
      outcome: `a search for these words: ${found.length === 1 ? 'one profile' : `${found.length || 'no'} profiles`}`,
    }
  }
  if (meant.what === 'address') {
    const [id] = await idsBehind(context, photoService, meant.address, INSTEAD)
    return {
      found: id ? await streamsBy(service, streamOf(id)!) : [],
      outcome: id ? 'a page of one profile' : 'a page of no profile',
    }
  }
  const stream = streamOf(meant.id)!
  return { found: await streamsBy(service, stream), outcome: stream.of === 'tag' ? 'a tag' : 'a handle' }
}

/** A tag; or a profile's own posts and those that name it, what was meant first. */
async function streamsBy(service: Service, stream: Stream): Promise<FoundSource[]> {
  if (stream.of === 'tag') return [await tagged(service, stream)]
  const profile = await currentProfile(service, stream.name)
  if (profile.private) return [await described(service, 'posts', profile)]
  const both = await Promise.all((['posts', 'named'] as const).map((of) => described(service, of, profile)))
  const ordered = stream.of === 'named' ? both.reverse() : both
  return ordered.filter(({ count }, at) => at === 0 || count > 0)
}

/** Under its new handle, where the service says that it has one. */
async function currentProfile(service: Service, name: string): Promise<ProfileAnswer> {
  try {
    return await profileAt(service, name)
  } catch (error) {
    const handle = error instanceof ServiceFault ? newHandle(error.answer) : undefined
    if (handle === undefined) throw error
    return profileAt(service, handle)
  }
}

async function described(service: Service, of: 'posts' | 'named', profile: ProfileAnswer): Promise<FoundSource> {
  const stream = { of, name: profile.handle }
  const base = {
    kind: photoService.id,
    url: pageOf(service.origin, stream),
    title: of === 'named' ? `Posts that name ${profile.name}` : profile.name,
    format: 'photo-service',
    how: 'given' as const,
    rating: null,
    hours: null,
  }
  if (profile.private)
    return {
      ...base,
      address: `@${profile.handle}, private: its account is connected once it is taken`,
      count: 0,
      newest: [],
    }
  const { posts, total } = await newest(service, { of, name: profile.id }, undefined, PREVIEW)
  return {
    ...base,
    address: `@${profile.handle}`,
    count: total,
    newest: posts.map((post) => previewOf(post, service.origin)),
  }
}

async function tagged(service: Service, stream: Stream): Promise<FoundSource> {
  const { posts, total } = await newest(service, stream, undefined, PREVIEW)
  return {
    kind: photoService.id,
    url: pageOf(service.origin, stream),
    title: `#${stream.name}`,
    address: 'posts by this tag, whoever they are of',
    format: 'photo-service',
    count: total,
    how: 'given',
    rating: null,
    hours: null,
    newest: posts.map((post) => previewOf(post, service.origin)),
  }
}

function previewOf(post: Parameters<typeof entryOf>[0], origin: string) {
  const { body, publishedAt, link } = entryOf(post, origin)
  return { title: readingOf(body).title(body), publishedAt, link }
}

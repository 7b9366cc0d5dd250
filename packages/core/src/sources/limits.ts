import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import { storable, type Entry, type ItemBody, type Picture } from '../items'
import { sanitise } from './sanitise'
import type { ReadSource } from './source-kind'

/** Characters that one entry's parts may have: far beyond what is read, and little enough to be sent to every visitor. */
export const LIMITS = {
  title: 300,
  author: 200,
  address: 2000,
  text: 100_000,
  labels: 30,
  label: 100,
  key: 600,
  pictures: 12,
}

type Limited = 'title' | 'author' | 'address' | 'text' | 'label'
/** How many were too long, by what they are. */
export type Cut = Partial<Record<Limited, number>>

export type LimitedSource = ReadSource & { cut: Cut }

/** What was read, with every part of a length that can be kept and shown; `cut` says what was not. */
export function limited(read: ReadSource): LimitedSource {
  const cut: Cut = {}
  const count = (what: Limited) => void (cut[what] = (cut[what] ?? 0) + 1)

  const text = (value: string, what: 'title' | 'author' | 'text' | 'label') => {
    if (value.length <= LIMITS[what]) return value
    count(what)
    return `${value
      .slice(0, LIMITS[what] - 1)
      .toWellFormed()
      .replace(/\uFFFD$/, '')
      .trimEnd()}…`
  }
  /** Half an address leads nowhere. */
  const address = (value: string | null) => {
    if (value === null || value.length <= LIMITS.address) return value
    count('address')
    return null
  }
  const picture = (value: Picture | null) => {
    const url = value && address(value.url)
    return url ? { ...value, url, alt: value.alt.slice(0, LIMITS.title) } : null
  }
  const pictures = (all: readonly Picture[]) => all.slice(0, LIMITS.pictures).flatMap((one) => picture(one) ?? [])
  const limitBody = (body: ItemBody): ItemBody => {
    const shared = { title: text(body.title, 'title'), text: text(body.text, 'text') }
    switch (body.type) {
      case 'article':
        return {
          ...body,
          ...shared,
          html: body.html.length > LIMITS.text ? sanitise(body.html.slice(0, LIMITS.text), null) : body.html,
          picture: picture(body.picture),
        }
      case 'post':
        return { ...body, ...shared, pictures: pictures(body.pictures) }
      case 'video':
        return { ...body, ...shared, picture: picture(body.picture), player: address(body.player) }
      case 'pick':
        return { ...body, ...shared, site: body.site.slice(0, LIMITS.title), picture: picture(body.picture) }
      case 'review':
        return {
          ...body,
          ...shared,
          authorPicture: picture(body.authorPicture),
          pictures: pictures(body.pictures),
          reply: body.reply && {
            ...body.reply,
            author: body.reply.author && text(body.reply.author, 'author'),
            text: text(body.reply.text, 'text'),
          },
        }
    }
  }
  const entry = ({ key, author, link, labels, body, ...rest }: Entry): Entry => ({
    ...rest,
    key: key.length > LIMITS.key ? `hash:${bytesToHex(sha256(utf8ToBytes(key)))}` : key,
    author: author && text(author, 'author'),
    link: address(link),
    labels: labels.slice(0, LIMITS.labels).map((label) => text(label, 'label')),
    body: limitBody(body),
  })

  return storable({
    ...read,
    title: read.title.slice(0, LIMITS.title),
    link: address(read.link),
    picture: picture(read.picture ?? null),
    profile: read.profile ? { ...read.profile, bio: text(read.profile.bio, 'title') } : null,
    language: read.language && read.language.slice(0, 35), // RFC 5646 section 4.4.1: buffers of 35 hold any tag in use
    entries: read.entries.map(entry),
    cut,
  })
}

const words: Record<Limited, { one: string; many: string; outcome: string }> = {
  title: { one: 'title', many: 'titles', outcome: 'cut' },
  author: { one: 'author’s name', many: 'authors’ names', outcome: 'cut' },
  address: { one: 'address', many: 'addresses', outcome: 'left out' },
  text: { one: 'text', many: 'texts', outcome: 'cut' },
  label: { one: 'label', many: 'labels', outcome: 'cut' },
}

/** What was cut, as a sentence for each sort of part. */
export const cutWords = (cut: Cut): string[] =>
  (Object.keys(words) as Limited[]).flatMap((what) => {
    const count = cut[what]
    if (!count) return []
    const { one, many, outcome } = words[what]
    const [name, are] = count === 1 ? [one, 'is'] : [many, 'are']
    return [`${count} ${name} longer than ${LIMITS[what].toLocaleString('en')} characters ${are} ${outcome}.`]
  })

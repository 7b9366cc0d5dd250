import type { Entry, VideoBody } from '../../items'
import type { LooseEntry, MediaEntry } from '../feed/loose-entry'
import { normalise } from '../feed/normalise'
import { absolute } from '../links'

interface MediaVideo {
  url?: string
  medium?: string
  type?: string
  duration?: number
  player?: { url?: string }
}
type VideoMedia = MediaEntry & { player?: { url?: string }; contents?: MediaVideo[] }

/** An entry of a feed as a film (Media RSS 1.5.1: content, player, thumbnail); null for one that has none. */
export function videoEntry(raw: unknown, base: string | null, language: string | null): Entry | null {
  const entry = normalise(raw, base, language)
  if (!entry || entry.body.type !== 'article') return null
  const media = (raw as LooseEntry).media as VideoMedia | undefined
  const groups = [media, ...(media?.groups ?? []), media?.group].filter((one) => one !== undefined) as VideoMedia[]
  const contents = groups.flatMap((one) => one.contents ?? []) as MediaVideo[]
  const films = contents.filter(isVideo)
  const player = [...groups.map((one) => one.player?.url), ...contents.map((one) => one.player?.url)].find(Boolean)
  if (!films.length && !player) return null
  const seconds = films.map(({ duration }) => Number(duration)).find((one) => one > 0) ?? null
  const { title, text, picture } = entry.body
  const body: VideoBody = { type: 'video', title, text, picture, seconds, player: absolute(player, entry.link ?? base) }
  return { ...entry, body }
}

const isVideo = ({ medium, type }: MediaVideo) => medium === 'video' || Boolean(type?.startsWith('video/'))

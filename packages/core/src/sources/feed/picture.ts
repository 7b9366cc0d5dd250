import { parseHtml } from '../../html'
import { absolute } from '../links'
import type { Picture } from '../../items'
import type { LooseEntry, MediaEntry, MediaPicture } from './loose-entry'

/** The picture of an entry: Media RSS first (largest content, then thumbnail), then the format's own, an image enclosure, the first picture in the text. */
export function pictureOf(entry: LooseEntry, html: string, base: string | null): Picture | null {
  return (
    fromMedia(entry.media, base) ??
    fromAddress(entry.image ?? entry.banner_image ?? imageEnclosure(entry), base) ??
    fromText(html, base)
  )
}

function fromMedia(media: MediaEntry | undefined, base: string | null): Picture | null {
  const groups = [...(media?.groups ?? []), ...(media?.group ? [media.group] : [])]
  const contents = [...(media?.contents ?? []), ...groups.flatMap((g) => g.contents ?? [])]
  const pictures = contents.filter(isPicture).sort((a, b) => (b.width ?? 0) - (a.width ?? 0))
  const thumbnails = [
    ...(media?.thumbnails ?? []),
    ...groups.flatMap((g) => g.thumbnails ?? []),
    ...contents.flatMap((c) => c.thumbnails ?? []),
  ]
  for (const candidate of [...pictures, ...thumbnails]) {
    const url = absolute(candidate.url, base)
    if (url)
      return { url, width: candidate.width ?? null, height: candidate.height ?? null, alt: descriptionOf(candidate) }
  }
  return null
}

const isPicture = (m: MediaPicture) =>
  m.medium === 'image' ||
  m.type?.startsWith('image/') ||
  (!m.medium && !m.type && /\.(jpe?g|png|webp|gif|avif)(\?|$)/i.test(m.url ?? ''))

const descriptionOf = (m: MediaPicture) =>
  typeof m.description === 'string' ? m.description : (m.description?.value ?? '')

function imageEnclosure(entry: LooseEntry): string | undefined {
  return (
    entry.enclosures?.find((e) => e.type?.startsWith('image/'))?.url ??
    entry.attachments?.find((a) => a.mime_type?.startsWith('image/'))?.url ??
    (entry.links as { href?: string; rel?: string; type?: string }[] | undefined)?.find(
      (l) => l.rel === 'enclosure' && l.type?.startsWith('image/'),
    )?.href
  )
}

function fromAddress(address: string | undefined, base: string | null): Picture | null {
  const url = absolute(address, base)
  return url ? { url, width: null, height: null, alt: '' } : null
}

function fromText(html: string, base: string | null): Picture | null {
  if (!html.includes('<img')) return null
  const $ = parseHtml(html, { fragment: true })
  for (const img of $('img').toArray()) {
    const { src, alt = '', width, height } = img.attribs
    const url = absolute(src, base)
    const [w, h] = [pixels(width), pixels(height)]
    if (url && !(w === 1 || h === 1)) return { url, width: w, height: h, alt } // 1 px pictures count visits
  }
  return null
}

const pixels = (value: string | undefined) => (/^\d+$/.test(value ?? '') && Number(value) > 0 ? Number(value) : null)

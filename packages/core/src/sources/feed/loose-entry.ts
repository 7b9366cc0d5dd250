// The four formats as the feed library gives them, seen as one loose record: any member may be missing.

interface Text {
  value?: string
  type?: string
  xml?: { base?: string }
}
interface Person {
  name?: string
  email?: string
}

/** One entry of any of the four formats, as the feed library gives it. */
export interface LooseEntry {
  id?: string
  guid?: { value?: string; isPermaLink?: boolean }
  title?: string | Text
  link?: string
  links?: { href?: string; rel?: string; type?: string }[]
  url?: string
  external_url?: string
  description?: string
  summary?: string | Text
  content?: Text & { encoded?: string }
  content_html?: string
  content_text?: string
  authors?: (string | Person)[]
  pubDate?: string
  published?: string
  updated?: string
  date_published?: string
  date_modified?: string
  categories?: (string | { name?: string; term?: string; label?: string })[]
  tags?: string[]
  dc?: { creators?: string[]; dates?: string[]; subjects?: string[] }
  image?: string
  banner_image?: string
  enclosures?: { url?: string; type?: string }[]
  attachments?: { url?: string; mime_type?: string }[]
  media?: MediaEntry
  rdf?: { about?: string }
}
export interface MediaEntry {
  thumbnails?: MediaPicture[]
  contents?: MediaPicture[]
  groups?: { contents?: MediaPicture[]; thumbnails?: MediaPicture[] }[]
  group?: { contents?: MediaPicture[]; thumbnails?: MediaPicture[] }
}
export interface MediaPicture {
  url?: string
  medium?: string
  type?: string
  width?: number
  height?: number
  description?: { value?: string } | string
  thumbnails?: MediaPicture[]
}

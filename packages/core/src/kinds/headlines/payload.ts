import type { Item } from '../../items'
import { columnSteps } from '../../layout'
import { shippedFonts } from '../../look'
import type { PayloadBase, PayloadContext } from '../kind'
import { fitSpec } from './fit-spec'
import type { HeadlinesSettings } from './settings'

export interface Headline {
  title: string
  link: string | null
  excerpt: string
  /** Author and date as shown, each '' where it is left out. */
  author: string
  date: string
  /** Machine-readable date for `<time datetime>`. */
  iso: string | null
  picture: { url: string; alt: string } | null
}

export interface HeadlinesPayload extends PayloadBase {
  kind: 'headlines'
  heading: string
  items: Headline[]
  locale: string
  look: {
    /** Shipped font: family, file, generic fallback; null for the site's own. */
    font: { family: string; file: string; generic: string } | null
    accent: string
    text: string
    background: string
    radius: number
  }
  layout: {
    picture: HeadlinesSettings['picture']
    gap: number
    padding: number
    steps: { from: number; columns: number }[]
  }
  newTab: boolean
}

export function headlinesPayload(
  settings: HeadlinesSettings,
  shown: readonly Item[],
  context: PayloadContext,
): HeadlinesPayload {
  const font = settings.font === 'site' ? null : shippedFonts[settings.font]
  const spec = fitSpec(settings)
  return {
    v: 1,
    kind: 'headlines',
    id: context.publicId,
    release: context.release,
    name: context.widgetName,
    heading: headingOf(settings, context),
    items: shown.map((item) => headline(item, settings)),
    locale: settings.locale,
    look: {
      font: font && { family: font.family, file: font.file, generic: font.generic },
      accent: settings.accent,
      text: settings.text,
      background: settings.background,
      radius: settings.radius,
    },
    layout: { picture: settings.picture, gap: settings.gap, padding: spec.padding, steps: columnSteps(spec) },
    newTab: settings.target === 'new',
  }
}

function headingOf(settings: HeadlinesSettings, context: PayloadContext): string {
  if (settings.title === 'none') return ''
  if (settings.title === 'own') return settings.titleText
  return settings.sources.map((id) => context.sources[id]?.title ?? '').find(Boolean) ?? ''
}

function headline(item: Item, settings: HeadlinesSettings): Headline {
  return {
    title: item.title,
    link: item.link,
    excerpt: excerptOf(item.text, settings.excerpt),
    author: settings.author ? (item.author ?? '') : '',
    date: settings.date && item.publishedAt ? formatDate(item.publishedAt, settings) : '',
    iso: item.publishedAt,
    picture: settings.picture === 'none' || !item.picture ? null : { url: item.picture.url, alt: item.picture.alt },
  }
}

/** Cuts at a word's end; an ellipsis says that there is more. */
export function excerptOf(text: string, most: number): string {
  if (most === 0) return ''
  if (text.length <= most) return text
  const cut = text.slice(0, most + 1)
  const space = cut.lastIndexOf(' ')
  return `${(space > most / 2 ? cut.slice(0, space) : text.slice(0, most)).replace(/[\s,;:.–—-]+$/, '')}…`
}

const dateStyles: Record<HeadlinesSettings['dateStyle'], Intl.DateTimeFormatOptions> = {
  medium: { day: 'numeric', month: 'short', year: 'numeric' },
  long: { day: 'numeric', month: 'long', year: 'numeric' },
  weekday: { weekday: 'short', day: 'numeric', month: 'short' },
  numeric: { day: '2-digit', month: '2-digit', year: 'numeric' },
}

function formatDate(iso: string, settings: HeadlinesSettings): string {
  return new Intl.DateTimeFormat(settings.locale, { ...dateStyles[settings.dateStyle], timeZone: 'UTC' }).format(
    new Date(iso),
  )
}

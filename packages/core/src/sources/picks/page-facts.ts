import type { Cheerio, CheerioAPI } from 'cheerio'
import type { Element } from 'domhandler'
import { parseHtml, textWithin } from '../../html'
import type { Picture } from '../../items'
import { languageTag } from '../../words'
import { absolute } from '../links'

/** What a page says of itself, for a pick of it. Texts are plain; '' where the page says nothing. */
export interface PageFacts {
  /** Where it wants to be linked to: its canonical address on the same host, else the one it was read at. */
  link: string
  title: string
  description: string
  site: string
  /** BCP 47. */
  language: string | null
  /** ISO 8601 in UTC. */
  publishedAt: string | null
  /** What may stand for it, the likeliest first. */
  pictures: Picture[]
}

const MOST = { title: 300, description: 2000, site: 100, pictures: 8, images: 400 }

/** Px: smaller ones are marks and buttons. */
const SMALL = 120
/** Words in names that say the same of pictures whose size is not said; common practice in the trade. */
const MARK = /(?:^|[^a-z])(avatar|logo|icon|sprite|emoji|gravatar|rounded-circle)(?:[^a-z]|$)/i

/**
 * Reads title, description, site name and pictures: what the page marks up for being shared (Open Graph protocol, its basic
 * and optional metadata), then the HTML standard's own (`title`, `meta name=description`, `application-name`), then what stands there.
 * @param at the address it was read at
 */
export function readPageFacts(html: string, at: string): PageFacts {
  const $ = parseHtml(html)
  const base = absolute($('base[href]').first().attr('href'), at) ?? at
  const meta = metaOf($)
  const site = meta('og:site_name', 'application-name') || new URL(at).hostname.replace(/^www\./, '')
  const heading = $('h1').first()[0]
  const whole = plain($('head title').first().text() || $('title').first().text())
  // Some manuals describe every page by its title.
  const description = meta('og:description', 'description', ':description') || firstParagraph($)
  const title =
    meta('og:title', ':title') || withoutSite(whole, site) || (heading ? plain(textWithin(heading, MOST.title)) : '')
  return {
    link: canonical($, base, at),
    title: title.slice(0, MOST.title),
    description: (description === whole ? '' : description).slice(0, MOST.description),
    site: site.slice(0, MOST.site),
    language: languageTag($('html').attr('lang') || meta('og:locale')),
    publishedAt: dateOf(meta('article:published_time') || ($('time[datetime]').first().attr('datetime') ?? '')),
    pictures: picturesOf($, base),
  }
}

const plain = (text: string) => text.replace(/\s+/g, ' ').trim()

/** The first of some names that a page has a `meta` for, by `property` or `name`; `:title` is that of any vocabulary for being shared. */
function metaOf($: CheerioAPI) {
  const known = new Map<string, string>()
  for (const { attribs } of $('meta[content]').toArray().slice(0, 500)) {
    const name = (attribs.property ?? attribs.name ?? '').trim().toLowerCase()
    const content = plain(attribs.content ?? '')
    if (!name || !content) continue
    for (const one of [name, name.replace(/^[a-z]+(?=:[a-z]+$)/, '')]) if (!known.has(one)) known.set(one, content)
  }
  return (...names: string[]) => names.map((name) => known.get(name)).find(Boolean) ?? ''
}

/** "Winter timetable · Gullhaven Ferries" of the site Gullhaven Ferries is "Winter timetable". */
function withoutSite(title: string, site: string): string {
  const parts = title.split(/ [|·–—•»«:-] /)
  if (parts.length < 2) return title
  const rest = [parts.at(-1)!, parts[0]!].find((part) => part.toLowerCase() === site.toLowerCase())
  return rest === undefined
    ? title
    : title
        .slice(...(rest === parts[0] ? [rest.length] : [0, -rest.length]))
        .replace(/^ ?[|·–—•»«:-] | [|·–—•»«:-] ?$/g, '')
}

/** Only on its own host: a page that says it is another site's would lead the click away. */
function canonical($: CheerioAPI, base: string, at: string): string {
  const said = absolute($('link[rel~=canonical][href]').first().attr('href'), base)
  return said && new URL(said).host === new URL(at).host ? said : at
}

function firstParagraph($: CheerioAPI): string {
  for (const node of $('main p, article p, p').toArray().slice(0, 30)) {
    const text = plain(textWithin(node, 500))
    if (text.length >= 40) return text
  }
  return ''
}

function dateOf(text: string): string | null {
  if (!/^\d{4}-\d{2}-\d{2}/.test(text)) return null
  const time = Date.parse(text)
  return Number.isNaN(time) ? null : new Date(time).toISOString()
}

const px = (value: string | undefined) => {
  const number = Number.parseInt(value ?? '', 10)
  return number > 0 ? number : null
}

/** Those it names for being shared, then those on it: in `main` before the rest, and none that is known to be small. */
function picturesOf($: CheerioAPI, base: string): Picture[] {
  const found = new Map<string, Picture>()
  const add = (address: string | undefined, more: Omit<Picture, 'url'>) => {
    const url = absolute(address, base)
    if (url && !found.has(url) && !/\.svg(?:$|[?#])/i.test(url)) found.set(url, { url, ...more })
  }
  // A property of a picture follows it: `og:image`, then its `og:image:width`, `:height` and `:alt` (Open Graph protocol, arrays).
  const shared: { url: string; width?: string; height?: string; alt?: string }[] = []
  for (const { attribs } of $('meta[content]').toArray().slice(0, 500)) {
    const name = (attribs.property ?? attribs.name ?? '').trim().toLowerCase()
    const content = attribs.content!.trim()
    if (/^(og:image(:url|:secure_url)?|[a-z]+:image)$/.test(name)) shared.push({ url: content })
    const part = /^og:image:(width|height|alt)$/.exec(name)?.[1] as 'width' | 'height' | 'alt' | undefined
    if (part && shared.length) shared.at(-1)![part] ??= content
  }
  for (const { url, width, height, alt } of shared)
    add(url, { width: px(width), height: px(height), alt: plain(alt ?? '') })
  add($('link[rel~=image_src][href]').first().attr('href'), { width: null, height: null, alt: '' })
  for (const scope of ['main img, article img', 'img']) {
    for (const { attribs } of ($(scope) as Cheerio<Element>).toArray().slice(0, MOST.images)) {
      if (found.size >= MOST.pictures) break
      const [width, height] = [px(attribs.width), px(attribs.height)]
      if ((width && width < SMALL) || (height && height < SMALL)) continue
      if (MARK.test(`${attribs.class ?? ''} ${attribs.id ?? ''} ${attribs.src ?? ''}`)) continue
      add(attribs['data-src'] ?? attribs['data-lazy-src'] ?? attribs.src, {
        width,
        height,
        alt: plain(attribs.alt ?? ''),
      })
    }
  }
  return [...found.values()].slice(0, MOST.pictures)
}

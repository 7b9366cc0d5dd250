import { jsonLdThings } from '../sources/structured-data/json-ld'
import { everyThing, textOf } from '../sources/structured-data/thing'
import type { Page } from '../verify/page'
import { fact, type Fact } from './fact'

/** What stands between a page's own title and the site's name, in a tidy text: of spaces there is one in a row. */
const BETWEEN = / [|·•–—»«:-] | ?[|·•»«] ?/

const tidy = (text: string | undefined) => (text ?? '').replace(/\s+/g, ' ').trim().slice(0, 80)

/**
 * What a site calls itself: in its markup for others (Open Graph, section 3 "Optional Metadata"; schema.org WebSite), else what
 * the titles of its pages share, else its first page's title.
 * @param pages the first page first
 */
export function siteName(pages: readonly Page[]): Fact<string> | null {
  const [home] = pages
  if (!home) return null
  const { $ } = home
  const declared =
    tidy($('meta[property="og:site_name"]').attr('content')) || tidy($('meta[name="application-name"]').attr('content'))
  if (declared) return fact(declared, 'the name its first page gives for sharing')
  const typed = namedInData(home)
  if (typed) return fact(typed, 'the structured data of its first page')
  const titles = pages.map(({ $: of }) => tidy(of('head > title').first().text())).filter(Boolean)
  const shared = sharedPart(titles)
  if (shared) return fact(shared, 'what the titles of its pages share')
  return titles[0] ? fact(titles[0].split(BETWEEN)[0]!, 'the title of its first page') : null
}

/** The part that all titles have; with one title only, none. */
function sharedPart(titles: readonly string[]): string | null {
  if (titles.length < 2) return null
  const [first, ...others] = titles.map((title) => title.split(BETWEEN).map((part) => part.trim()))
  const held = first!.filter((part) => part && others.every((parts) => parts.includes(part)))
  return held[0] ?? null
}

/** JSON-LD: the name of the WebSite, or of whoever publishes it. */
function namedInData({ $ }: Page): string | null {
  const things = [...everyThing(jsonLdThings($))]
  for (const wanted of ['WebSite', 'Organization', 'LocalBusiness']) {
    const named = things.find((thing) => thing.types.includes(wanted) && textOf(thing, 'name'))
    if (named) return tidy(textOf(named, 'name'))
  }
  return null
}

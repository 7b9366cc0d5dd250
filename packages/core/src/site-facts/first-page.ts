import type { AnyNode } from 'domhandler'
import type { Look } from '../verify/look'
import { parsePage, type Page } from '../verify/page'
import { problemOf } from '../verify/reach'
import type { Fact } from './fact'
import { languageOf } from './language'
import { siteName } from './name'
import { linkedPages, type FoundPage } from './pages'
import { platformOf } from './platform'

/** What a site's first page says of it. */
export interface FirstPage {
  /** Why it is no page that can be read, as a sentence. */
  problem: string | null
  language: Fact<string> | null
  platform: Fact<string> | null
  linked: FoundPage[]
}

/** Reads a site's first page as it was answered. What scripts fill later is read as far as it goes. */
export function readFirstPage(look: Look): FirstPage {
  const page = look.error ? null : pageIn(look.html)
  const problem = look.error ? look.error.message : page ? problemOf(look, page) : TANGLED
  if (!page || (problem && !waitsForScripts(page, look))) return { problem, language: null, platform: null, linked: [] }
  const { origin } = new URL(look.finalUrl)
  return {
    problem: null,
    language: languageOf(page, look.headers),
    platform: platformOf(page, look.headers),
    linked: linkedPages(page, look.finalUrl, origin),
  }
}

const TANGLED = 'The page is too tangled to be looked through.'

/** An answer that is well, and empty until its scripts have run. */
const waitsForScripts = (page: Page, { status }: Look) => status < 300 && !page.$('body').toArray().some(hasWords)

/** Whether anything is read in an element. Without recursion, since a page may be nested deep. */
function hasWords(element: AnyNode): boolean {
  const open = [element]
  for (let node = open.pop(); node; node = open.pop()) {
    if (node.type === 'text' && node.data.trim()) return true
    if ('children' in node && !('name' in node && UNREAD.test(node.name)))
      for (const child of node.children) open.push(child)
  }
  return false
}

/** What stands in these is not read. */
const UNREAD = /^(?:script|style|noscript)$/

/** What a site calls itself, by those of its pages that are pages; the first page first. */
export const nameFrom = (looks: readonly Look[]): Fact<string> | null =>
  siteName(
    looks.flatMap((look, at) => {
      const page = look.error ? null : pageIn(look.html)
      return page && (at === 0 || !problemOf(look, page)) ? [page] : []
    }),
  )

function pageIn(html: string): Page | null {
  try {
    return parsePage(html)
  } catch (error) {
    if (error instanceof RangeError) return null
    throw error
  }
}

import type { Element } from 'domhandler'
import type { Region } from '../../platforms'
import { cutUp, plain, senses, type Sense } from './vocabulary'

/** What a name says of a place: a region, or a menu, which is the header's unless it stands elsewhere. */
export type Named = Region | 'menu'

/** Longer ones are made by programs. */
const MOST = { letters: 40, names: 12 }

const cache = new Map<string, Named | null>()

/** What an element's id, classes and, for a custom element, its own name say, each as a whole name; the first that says something. */
export function namedBy(element: Element, idOnly = false): Named | null {
  const { id = '', class: classes = '' } = element.attribs
  const names = idOnly ? [id] : [id, ...classes.slice(0, 1000).split(/\s+/).slice(0, MOST.names)]
  if (element.name.includes('-')) names.push(element.name)
  for (const name of names) {
    if (!name || name.length > MOST.letters) continue
    const says = said(name)
    if (says) return says
  }
  return null
}

function said(name: string): Named | null {
  let says = cache.get(name)
  if (says === undefined) {
    if (cache.size > 20_000) cache.clear()
    cache.set(name, (says = read(name)))
  }
  return says
}

function read(name: string): Named | null {
  const parts = name
    .replace(/(\p{Ll})(?=\p{Lu})/gu, '$1-')
    .split(/[-_.:]+/)
    .filter(Boolean)
    .map(plain)
  const words: string[] = []
  for (const part of parts) {
    const cut = cutUp(part)
    if (!cut) return null
    words.push(...cut)
  }
  return weigh(words.filter((word) => !/^\d+$/.test(word)).map((word) => senses.get(word)!))
}

function weigh(said: Sense[]): Named | null {
  const has = (sense: Sense) => said.includes(sense)
  if (has('voids')) return null
  // The content's own header is not the page's; the main header may be.
  if ((has('main') || has('piece')) && (has('header') || has('footer'))) return null
  if (has('footer')) return 'footer'
  if (has('header')) return has('page') ? null : 'header'
  if (has('sidebar')) return 'sidebar'
  if (has('edge')) return has('column') || has('menu') ? 'sidebar' : null
  if (has('main') || has('piece') || (has('centre') && has('column'))) return 'main'
  if (has('menu')) return 'menu'
  // A place for several small boxes; one box alone may stand anywhere.
  return has('boxes') && has('area') ? 'sidebar' : null
}

/** Names by which tools mark what lies over the page, is only there for screen readers or waits to be shown. */
export const OVER_THE_PAGE =
  /(^|[\s_-])(cookies?|consent|gdpr|modal|popup|overlay|lightbox|offcanvas|skip|sr-only|visually-hidden|screen-reader|preloader|loader|toast|backdrop)([\s_-]|$)/i

import type { Element } from 'domhandler'
import { readElement } from '../methods'
import type { Region } from '../platforms'
import { MARK } from '../wire'
import { matchesOf } from './match-selector'
import { oursAmong } from './ours'
import { ancestors, isElement, parsePage, walk, type Page } from './page'
import type { Plan } from './plan'
import { regionsOf } from './place/regions'
import { inPlacement } from './region'
import { ROOM_ID, ROOM_MARK, type RoomMark } from './room-marks'

/** What runs, loads other pages or leads elsewhere; what is left shows what the page looks like. */
const BARRED =
  'script, iframe, object, embed, frame, base, meta[http-equiv], link[rel*="import"], link[rel*="preload"], noscript, template'

/** Of these, what may hold other elements. */
const barredPlaces = new Set(['script', 'iframe', 'object', 'embed', 'frame', 'noscript', 'template'])

/**
 * A page to look at, with an empty element where a widget of a placement stands or would stand: in place of its install where
 * that is there, else at the placement's end, else at the page's. Nothing of the page runs. Its elements are marked, so that
 * whoever draws it can put the room where the placement's content is (see ROOM_MARK).
 * @param install public id; null where the widget has none there
 */
export function pageWithRoom(
  html: string,
  placement: NonNullable<Plan['placement']>,
  install: string | null = null,
): { html: string; found: boolean } {
  const page = parsePage(html)
  const { $ } = page
  const elements = $('*').toArray().filter(isElement)
  const own = elements.find(
    (e) => readElement(e)?.publicId === install && inPlacement(page, e, placement).inside !== false,
  )
  const room = `<div id="${ROOM_ID}"${own ? ` ${markAs('settled')}` : ''}></div>`
  const hosts = own ? [] : placementElements(page, placement)
  const host = hosts[0]
  markParts(page, elements, hosts, placement.region)
  // What it stands within may be barred as a whole.
  if (own) $([...ancestors(own)].findLast((e) => $(e).is(BARRED)) ?? withItsLink(own)).replaceWith(room)
  else if (host) $(host).append(room)
  else $('body').append(room)
  $(BARRED).remove()
  for (const element of elements)
    for (const name of Object.keys(element.attribs))
      if (/^on/i.test(name) || /^\s*javascript:/i.test(element.attribs[name]!)) delete element.attribs[name]
  // The others keep their room and their link; they are not to be shown, nor counted, from here.
  $(`[${MARK}]`).removeAttr(MARK)
  return { html: $.html(), found: Boolean(own ?? host) }
}

/** A picture of ours stands in a link that holds nothing else. */
function withItsLink(own: Element): Element {
  const { parent } = own
  const isAlone = parent && isElement(parent) && parent.name === 'a' && parent.children.filter(isElement).length === 1
  return isAlone ? parent : own
}

/** The elements in a body that are not taken out, in document order. */
function shown(page: Page): Element[] {
  const elements: Element[] = []
  walk(
    page,
    false,
    ({ name }, inBody) => (barredPlaces.has(name) ? null : inBody || name === 'body'),
    (node, inBody) => {
      if (isElement(node) && !barredPlaces.has(node.name) && (inBody || node.name === 'body')) elements.push(node)
    },
  )
  return elements
}

/** What a placement may be on a page, in document order. */
function placementElements(page: Page, { selector, region }: NonNullable<Plan['placement']>): Element[] {
  const matches = selector ? matchesOf(page, selector) : null
  const { labels } = regionsOf(page)
  return shown(page).filter((element) => (selector ? matches?.has(element) : labels.get(element)?.region === region))
}

function markParts(page: Page, elements: readonly Element[], hosts: readonly Element[], region: Region): void {
  const { labels } = regionsOf(page)
  const ours = oursAmong(elements)
  const mark = (element: Element, as: RoomMark) => (element.attribs[ROOM_MARK] = as)
  for (const element of elements) {
    const label = labels.get(element)
    if (label && label.region !== region) mark(element, label.region === 'main' ? 'content' : 'elsewhere')
    else if (ours.has(element)) mark(element, 'ours')
  }
  for (const host of hosts) mark(host, 'here')
}

const markAs = (as: RoomMark) => `${ROOM_MARK}="${as}"`

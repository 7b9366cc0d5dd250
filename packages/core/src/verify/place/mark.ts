import type { AnyNode, Element } from 'domhandler'
import { ancestors, everyElement, elementsNamed, type Page } from '../page'

/** Elements that are a part of a page by themselves. */
const landmarks = new Set(['aside', 'main', 'header', 'footer', 'nav'])

/** A word, or some with hyphens: written by a person. What tools make has digits, capitals amid letters, or no vowel. */
const WRITTEN = /^[a-z]{3,}(?:[-_]{1,2}[a-z]{2,}){0,4}$/

/** Classes that say how something looks and not what it is. */
const LOOKS =
  /^(?:(?:d|p|m|w|h|g|bg|text|font|border|rounded|shadow|flex|grid|justify|items|align|float|position|col|cols|gap|space|order|is|has|js|sm|md|lg|xl)(?:-.*)?|row|clearfix|container(?:-fluid)?|inner|outer|wrap|wrapper|active|open|show|hidden|fade|left|right|block|inline|relative|absolute|sticky|fixed)$/

const isWritten = (name: string) =>
  name.length <= 40 &&
  WRITTEN.test(name.toLowerCase()) &&
  /[aeiouy]/i.test(name) &&
  !/[a-z][A-Z].*[a-z][A-Z]/.test(name)

/** A selector of an element itself, by what is likely to stay; null where there is none that is the only one of its sort. */
export function markOf(page: Page, element: Element): string | null {
  for (const { selector, among, fits } of namesOf(page, element)) if (isOnly(among, fits)) return selector
  return null
}

function isOnly(among: Iterable<Element>, fits: (element: Element) => boolean): boolean {
  let count = 0
  for (const one of among) if (fits(one) && ++count > 1) return false
  return count === 1
}

/**
 * A selector of the nearest container of a node that is likely to stay when the page is edited, and that is the only one of
 * its sort there; null where there is none.
 */
export const markFor = (page: Page, node: AnyNode): string | null => markAround(page, node)?.selector ?? null

/** The same, with how many elements outwards it is: 0 for the parent. */
export function markAround(page: Page, node: AnyNode): { selector: string; steps: number } | null {
  let steps = 0
  for (const element of ancestors(node)) {
    if (element.name === 'body' || element.name === 'html') return null
    const selector = markOf(page, element)
    if (selector) return { selector, steps }
    steps++
  }
  return null
}

/** A simple selector, and what it picks out: looked for without the machine that reads any selector, since each element is asked. */
interface Naming {
  selector: string
  among: Iterable<Element>
  fits(element: Element): boolean
}

const classesIn = (text = '') => text.split(/\s+/)

function* namesOf(page: Page, { name, attribs }: Element): Generator<Naming> {
  const { id } = attribs
  if (id && isWritten(id)) yield { selector: `#${id}`, among: everyElement(page), fits: (one) => one.attribs.id === id }
  const classes = classesIn(attribs.class?.slice(0, 500)).filter((one) => isWritten(one) && !LOOKS.test(one))
  for (const one of classes.slice(0, 4))
    yield {
      selector: `${name}.${one}`,
      among: elementsNamed(page, name),
      fits: (other) => classesIn(other.attribs.class).includes(one),
    }
  if (landmarks.has(name)) yield { selector: name, among: elementsNamed(page, name), fits: () => true }
}

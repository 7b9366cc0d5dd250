import type { AnyNode, Element } from 'domhandler'
import { regionIds, type Region } from '../snippet'
import { ancestors, type Page } from './page'

/** ARIA landmark roles (WAI-ARIA 1.2) as regions. */
const roles: Record<string, Region> = {
  banner: 'header',
  navigation: 'header',
  main: 'main',
  article: 'main',
  complementary: 'sidebar',
  contentinfo: 'footer',
}

/** HTML elements with a landmark role of their own (HTML-AAM 1.0); header and footer only outside sectioning content. */
const elements: Record<string, Region> = { main: 'main', article: 'main', aside: 'sidebar', nav: 'header' }
const scoped: Record<string, Region> = { header: 'header', footer: 'footer' }
const sectioning = new Set(['article', 'aside', 'main', 'nav', 'section'])

/** Words that themes use in ids and classes; common practice in the trade, most telling first. */
const words: [Region, RegExp][] = [
  ['sidebar', /^(side|sidebar|sidebars|aside|rail|secondary|complementary)$/],
  ['footer', /^(foot|footer|colophon|bottom)$/],
  ['header', /^(head|header|masthead|banner|topbar|navbar|nav)$/],
  ['main', /^(main|content|primary|article|post|entry|body)$/],
]

/** The region an element lies in: landmarks first, nearest first; then id and class words; null where nothing tells. */
export function regionOf(node: AnyNode): Region | null {
  const chain = [...ancestors(node)]
  for (const element of chain) {
    const region = landmark(element)
    if (region) return region
  }
  for (const element of chain) {
    const region = element.name === 'body' || element.name === 'html' ? null : named(element)
    if (region) return region
  }
  return null
}

function landmark(element: Element): Region | null {
  const role = element.attribs.role?.trim().split(/\s+/)[0]?.toLowerCase()
  if (role) return roles[role] ?? null // a role takes the place of the element's own
  if (elements[element.name]) return elements[element.name]!
  if (!scoped[element.name]) return null
  return [...ancestors(element)].some((a) => sectioning.has(a.name)) ? null : scoped[element.name]!
}

function named(element: Element): Region | null {
  const { id = '', class: classes = '' } = element.attribs
  const tokens = `${id.slice(0, 200)} ${classes.slice(0, 1000)}`
    .split(/[\s_-]+|(?<=[a-z])(?=[A-Z])/)
    .map((w) => w.toLowerCase())
  return words.find(([, pattern]) => tokens.some((token) => pattern.test(token)))?.[0] ?? null
}

/** Whether a node lies in a placement: its selector decides where it has one, else the region. A broken selector decides nothing. */
export function inPlacement(
  page: Page,
  node: AnyNode,
  placement: { region: Region; selector?: string | null },
): { inside: boolean; region: Region | null } {
  const region = regionOf(node)
  if (placement.selector) {
    try {
      return { inside: page.$(node).closest(placement.selector).length > 0, region }
    } catch {
      return { inside: region === placement.region, region }
    }
  }
  return { inside: region === placement.region, region }
}

export const isRegion = (value: string): value is Region => (regionIds as string[]).includes(value)

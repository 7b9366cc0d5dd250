import type { Element } from 'domhandler'
import { parseHtml } from '../html'

/** Rules of a site, as one of its pages answered. */
export interface SitePolicy {
  /** Values of content security policies that count, each as written: the header's, and those of the page's head. */
  enforced: string[]
  /** Of those that are only reported: they stop nothing. */
  reported: string[]
  /** The Permissions-Policy header, empty where there is none. */
  permissions: string
}

/** A policy in the head stands near its beginning, or it would not hold for what comes before it. */
const HEAD = 50_000
const MOST = { policies: 10, letters: 4000 }

/**
 * The rules that a page was served with. A `meta` element counts in the head only, and cannot only report (CSP Level 3, section 3.3).
 * @param headers names in lower case
 */
export function sitePolicyOf(headers: Record<string, string>, html: string): SitePolicy {
  const head = /<meta[^>]+content-security-policy/i.test(html.slice(0, HEAD)) ? inHead(html.slice(0, HEAD)) : []
  const cut = (values: (string | undefined)[]) =>
    values
      .filter((value): value is string => Boolean(value))
      .slice(0, MOST.policies)
      .map((value) => value.slice(0, MOST.letters))
  return {
    enforced: cut([headers['content-security-policy'], ...head]),
    reported: cut([headers['content-security-policy-report-only']]),
    permissions: (headers['permissions-policy'] ?? '').slice(0, MOST.letters),
  }
}

const inHead = (html: string): string[] => {
  const $ = parseHtml(html)
  return $('head meta')
    .toArray()
    .map((meta) => (meta as Element).attribs)
    .filter((attribs) => attribs['http-equiv']?.toLowerCase() === 'content-security-policy')
    .map((attribs) => attribs.content ?? '')
}

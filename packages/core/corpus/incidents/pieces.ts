import type { FindingCode } from '../../src/verify/catalogue'
import type { Look } from '../../src/verify/look'
import { ours, snippet, type Site } from '../site'

/** What one look got; a page alone came with status 200. */
export type Got = string | (Partial<Look> & { html: string })

export interface Incident {
  name: string
  /** What the site gives: as served, then past the cache. */
  looks(site: Site): [Got] | [Got, Got]
  /** What differs in the plan from a pasted install by element and script. */
  plan?: Record<string, unknown>
  /** The page before anything was pasted, for its fingerprint. */
  before?(site: Site): string
  /** What a practitioner would say of it. */
  says: FindingCode[]
}

export const frame = snippet('frame')
export const inline = snippet()
export const element = inline.replace(/<script.*\n/, '')
export const script = `<script async src="${ours}/strand.js"></script>`
export const scriptAs = (tag: string) => element + tag
export const frameAs = (change: (html: string) => string) => change(frame)
export const escaped = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;')
export const attribute = (text: string) => escaped(text).replace(/"/g, '&quot;')
export const wrapped = (tag: string, text: string) => `<${tag}>${text}</${tag}>`
export const framed = { method: 'frame' }
export const leaving = { retiring: true, status: 'confirmed' }
export const one = (name: string, text: string, says: FindingCode[], plan?: Record<string, unknown>): Incident => ({
  name,
  looks: (site) => [site.with(text)],
  says,
  plan,
})
export const bare = (title: string, body: string, lang = 'en') =>
  `<!DOCTYPE html><html lang="${lang}"><head><title>${title}</title></head><body>${body}</body></html>`
/** A page that is not the page, whoever stands on it before. */
export const instead = (name: string, got: Got, plan?: Record<string, unknown>): Incident => ({
  name,
  looks: () => [got],
  says: ['unreachable'],
  plan,
})
export const at = 'https://ferries.example'

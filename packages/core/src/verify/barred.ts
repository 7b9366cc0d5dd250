import type { Element } from 'domhandler'
import { methods } from '../methods'
import type { ReadLook } from './look'
import { elementsNamed } from './page'
import type { Plan } from './plan'
import { allows, directiveFor, readPolicies, type Policy } from './policy'
import type { Seen } from './seen'
import type { Trace } from './traces'

/** What stops a copy that is on the page, and the rule that lets it through, where a rule does. */
export interface Bar {
  problem: string
  rule?: string
}

/** Requests a method cannot do without; what it asks for beside, as fonts, it can. */
const essential = ['script-src', 'connect-src', 'frame-src']

const kinds: Record<string, string> = {
  'script-src': 'our script',
  'connect-src': 'what our script asks for',
  'frame-src': 'our frame',
}

/** What stops a copy from showing: rules of the page, of the frame it stands in, or something a visitor has to do first. */
export function barOf(plan: Plan, seen: Seen, trace: Trace): Bar | null {
  if (trace.waitsFor === 'agreement')
    return { problem: 'The page shows it only to visitors who have agreed to something.' }
  if (trace.waitsFor === 'click')
    return { problem: 'The page shows it only to visitors who press what stands in its place.' }
  const needsScript = (methods[trace.method].needs as readonly string[]).includes('script')
  if (needsScript && trace.within && !trace.within.runsScripts)
    return { problem: 'It stands in a frame that lets no script run (sandbox without allow-scripts).' }
  return mixed(plan, seen) ?? forbidden(plan, seen, trace)
}

/** Mixed Content (W3C): a page over https loads neither scripts nor frames over http, but from the machine itself. */
function mixed(plan: Plan, { look }: ReadLook): Bar | null {
  const isLocal = /^http:\/\/(?:[\w-]+\.)*localhost(?::\d+)?$|^http:\/\/127\./.test(plan.origin)
  return look.finalUrl.startsWith('https:') && plan.origin.startsWith('http:') && !isLocal
    ? { problem: 'The page is served over https and the widget over http: browsers refuse that.' }
    : null
}

function forbidden(plan: Plan, seen: Seen, trace: Trace): Bar | null {
  const needs = Object.entries(methods[trace.method].policy(plan.origin)).filter(([kind]) => essential.includes(kind))
  for (const policy of policiesOf(seen))
    for (const [kind] of needs) {
      const directive = directiveFor(policy, kind)
      if (!directive || allowed(directive.sources, kind, plan, seen)) continue
      const name = directive.name === 'default-src' || directive.name === 'child-src' ? kind : directive.name
      const kept = directive.sources.filter((source) => source.toLowerCase() !== "'none'")
      return {
        problem: `The site's content security policy does not allow ${kinds[kind]} (${directive.name} ${directive.sources.join(' ').slice(0, 200) || "'none'"}).`,
        rule: `${name} ${[...kept, plan.origin].join(' ').slice(0, 500)}`,
      }
    }
  return null
}

function allowed(sources: readonly string[], kind: string, plan: Plan, { look, traces }: ReadLook): boolean {
  const page = new URL(look.finalUrl)
  const url = new URL('/', plan.origin)
  if (kind !== 'script-src') return allows(sources, { url, page })
  const own = traces.scripts.filter((script) => script.runs && script.origin === plan.origin && script.node.attribs.src)
  if (!own.length) return true // loaded by a script of the page, whose own rules it follows
  return own.some(({ node: { attribs } }) => {
    const { src, nonce = '', integrity } = attribs
    return allows(sources, { url: new URL(src!, page), page, nonce, integrity })
  })
}

/** A header's policies, and those of the page's head (CSP Level 3, section 3.3). */
function policiesOf({ look, page }: ReadLook): Policy[] {
  const inHead = elementsNamed(page, 'meta').filter(
    ({ attribs, parent }) =>
      attribs['http-equiv']?.toLowerCase() === 'content-security-policy' && (parent as Element | null)?.name === 'head',
  )
  const written = inHead.slice(0, 10).map(({ attribs }) => attribs.content ?? '')
  return [look.headers['content-security-policy'] ?? '', ...written].flatMap(readPolicies)
}

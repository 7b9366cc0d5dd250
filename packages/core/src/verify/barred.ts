import type { Element } from 'domhandler'
import { methods } from '../methods'
import type { ReadLook } from './look'
import { elementsNamed } from './page'
import type { Plan } from './plan'
import { additions, allows, directiveSaid, isEssential, isMixed, readPolicies, refusals, type Policy } from '../policy'
import type { Seen } from './seen'
import type { Trace } from './traces'

/** What stops a copy that is on the page, and the rule that lets it through, where a rule does. */
export interface Bar {
  problem: string
  rule?: string
}

const kinds: Record<string, string> = {
  'script-src': 'our script',
  'connect-src': 'what our script asks for',
  'frame-src': 'our frame',
  'img-src': 'our picture',
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
  return mixed(plan, seen) ?? forbidden(plan, seen, trace) ?? withoutPlayer(plan, seen, trace)
}

const mixed = (plan: Plan, { look }: ReadLook): Bar | null =>
  isMixed(look.finalUrl, plan.origin)
    ? { problem: 'The page is served over https and the widget over http: browsers refuse that.' }
    : null

function forbidden(plan: Plan, seen: Seen, trace: Trace): Bar | null {
  const page = new URL(seen.look.finalUrl)
  const needs = methods[trace.method].policy(plan.origin)
  const refused = refusals(policiesOf(seen), needs, page, (sources, kind, origin) =>
    kind === 'script-src'
      ? letsOurScript(sources, origin, page, seen)
      : allows(sources, { url: new URL('/', origin), page }),
  )
  const [first] = refused
  if (!first || !isEssential(first)) return null
  return {
    problem: `The site's content security policy does not allow ${kinds[first.kind]} (${directiveSaid(first)}).`,
    rule: additions(refused).slice(0, 1000),
  }
}

/** What plays opens in a frame of the page itself; in a frame of ours our own policy says what may. */
function withoutPlayer({ players }: Plan, seen: Seen, trace: Trace): Bar | null {
  if (!players.length || methods[trace.method].artefact === 'frame') return null
  const refused = refusals(policiesOf(seen), { 'frame-src': players }, new URL(seen.look.finalUrl))
  const [first] = refused
  if (!first) return null
  return {
    problem: `The site’s content security policy does not allow the player that a press opens (${directiveSaid(first)}): it stays empty.`,
    rule: additions(refused).slice(0, 1000),
  }
}

function letsOurScript(sources: readonly string[], origin: string, page: URL, { traces }: Seen): boolean {
  const own = traces.scripts.filter((script) => script.runs && script.origin === origin && script.node.attribs.src)
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

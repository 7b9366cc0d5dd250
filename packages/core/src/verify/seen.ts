import type { FindingCode, FindingData } from './catalogue'
import { excerptAt } from './excerpt'
import { finding, type Finding } from './finding'
import type { ReadLook } from './look'
import { matchesOf } from './match-selector'
import { position } from './page'
import type { Plan } from './plan'
import { inPlacement, type Lies } from './region'
import type { Region } from '../platforms'
import type { DeadTrace, Mention, ScriptTrace, Trace } from './traces'

/** A look with the traces of one install picked out. */
export interface Seen extends ReadLook {
  mine: Trace[]
  /** Of it, where no browser renders it; what visitors read as text is not among them. */
  dead: (DeadTrace | Mention)[]
  /** Its code, where visitors read it. */
  asText: Mention[]
  /** It is brought by the site's tag, and stands in the markup only once scripts have run. */
  brought: boolean
  /** Links that were left of it. */
  orphans: { node: Trace['node'] }[]
}

export function seenBy(plan: Plan, read: ReadLook): Seen {
  const { live, dead, orphans } = read.traces
  const mentions = read.traces.mentions(plan.install)
  const own = live.filter((trace) => trace.id === plan.install)
  const brought = own.length || plan.retiring ? null : broughtBy(plan, read)
  return {
    ...read,
    mine: brought ? [brought] : own,
    brought: brought !== null,
    dead: [...dead.filter((trace) => trace.id === plan.install), ...mentions.filter(({ where }) => where !== 'text')],
    asText: mentions.filter(({ where }) => where === 'text'),
    orphans: orphans.filter((orphan) => orphan.id === plan.install),
  }
}

/** The tag of the site, where browsers run it. */
export const tagOn = (plan: Plan, { traces }: ReadLook): Trace | null =>
  (plan.tag && traces.live.find(({ method, id }) => method === 'tag' && id === plan.tag)) || null

/** Where the site's tag will put an install of its own: the body for what stands over the page, else its placement's element. */
function broughtBy(plan: Plan, read: ReadLook): Trace | null {
  const tag = plan.method === 'tag' && plan.tag !== plan.install ? tagOn(plan, read) : null
  if (!tag) return null
  const selector = plan.placement?.selector
  if (plan.placement && !selector) return null
  const [node] = selector ? (matchesOf(read.page, selector) ?? []) : read.page.$('body').toArray()
  return node ? { ...tag, id: plan.install, node } : null
}

/** The scripts that a copy can be filled by: of the document it stands in. */
export const scriptsFor = (seen: ReadLook, trace: Trace): ScriptTrace[] => trace.within?.scripts ?? seen.traces.scripts

type Node = Parameters<typeof position>[0]

/** Where a node lies, seen from the plan; an install without a placement is well anywhere. */
export function liesIn(plan: Plan, seen: ReadLook & Partial<Pick<Seen, 'mine'>>, node: Node): Lies {
  const lies = inPlacement(seen.page, node, plan.placement ?? null)
  const boxed = lies.by === 'mark' || lies.by === 'landmarks' ? null : regionByBox(plan, seen, node, lies)
  if (!boxed || (plan.placement?.selector && lies.inside !== null)) return lies
  return { region: boxed, by: 'box', inside: plan.placement ? boxed === plan.placement.region : true }
}

/** Where a browser with room for columns drew it: a narrow column beside a wider one is a sidebar, and what lies beside nothing is none. */
function regionByBox(
  plan: Plan,
  { look, mine }: ReadLook & Partial<Pick<Seen, 'mine'>>,
  node: Node,
  { region }: Lies,
): Region | null {
  if (look.how !== 'desktop' || !look.sight || !mine) return null
  const at = mine.findIndex((trace) => trace.node === node)
  const widget = look.sight.widgets.filter(({ id }) => id === plan.install)[at]
  if (!widget || widget.unseen) return null
  if (widget.beside === 'narrower' && (region === null || region === 'main')) return 'sidebar'
  return widget.beside === null && region === 'sidebar' ? 'main' : null
}

const telling = [
  'age',
  'cache-control',
  'last-modified',
  'etag',
  'date',
  'location',
  'content-type',
  'content-security-policy',
  'x-cache',
]

const MOST_EXCERPTS = 5

/** A finding with its proof: the lines around the nodes that show it, and the headers that bear on it. */
export function note(
  code: FindingCode,
  data: FindingData,
  seen: ReadLook,
  nodes: readonly { node: Node }[] = [],
): Finding {
  const excerpts = nodes.slice(0, MOST_EXCERPTS).flatMap(({ node }) => {
    const at = position(node)
    return at ? [excerptAt(seen.page.source, at.offset)] : []
  })
  const headers = Object.fromEntries(
    telling.flatMap((name) => (seen.look.headers[name] ? [[name, seen.look.headers[name]!]] : [])),
  )
  return finding(code, data, { look: seen.look.how, excerpts, headers })
}

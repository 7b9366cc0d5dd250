import { methods } from '../methods'
import type { Finding } from './finding'
import { lookKinds } from './look-kinds'
import type { ReadLook } from './look'
import { knownBy } from './place/known-by'
import type { Plan } from './plan'
import { problemOf } from './reach'
import { liesIn, scriptsFor, seenBy, type Seen } from './seen'
import type { WidgetSight } from './sight'

/** One step from what was looked for to what was decided, as sentences. */
export interface Step {
  /** `for`: what was looked for. A way of looking: what it showed. `decided`: what follows. */
  about: string
  says: string[]
}

const plural = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`

/** How a verdict came about, for whoever doubts it. */
export function reasoningOf(plan: Plan, looks: readonly ReadLook[], findings: readonly Finding[]): Step[] {
  return [
    { about: 'for', says: lookedFor(plan) },
    ...looks.map((read) => ({ about: read.look.how, says: shown(plan, read) })),
    { about: 'decided', says: decided(findings) },
  ]
}

function lookedFor({ install, origin, placement, retiring }: Plan): string[] {
  const where = placement?.selector
    ? ` in what fits ${placement.selector}`
    : placement
      ? ` in the ${placement.region}`
      : ' anywhere on the page'
  return [
    `The install ${install} from ${origin}${retiring ? ', which is meant to be gone' : `,${where}`}: our element, our frame, a link that was left, or its code as text.`,
  ]
}

function shown(plan: Plan, read: ReadLook): string[] {
  const { look, page } = read
  const problem = problemOf(look, page)
  if (problem) return [problem]
  const seen = seenBy(plan, read)
  const answer = `Answered ${look.status}${look.finalUrl === look.url ? '' : ` at ${look.finalUrl}`}.`
  const own = look.sight?.widgets.filter(({ id }) => id === plan.install) ?? []
  return [answer, ...found(plan, seen), ...own.map(drawn)]
}

function found(plan: Plan, seen: Seen): string[] {
  const { mine, dead, asText, orphans } = seen
  const copies = mine.map((trace) => {
    const { region, by } = liesIn(plan, seen, trace.node)
    const place = region ? `in the ${region}, known ${knownBy[by!]}` : 'in a place that nothing tells'
    return `A copy by ${methods[trace.method].name} ${place}${trace.within ? ', within a frame’s own markup' : ''}.`
  })
  const scripts = mine[0] ? scriptsFor(seen, mine[0]) : []
  return [
    ...(copies.length ? copies : ['No copy.']),
    ...new Set(
      scripts.map(
        ({ origin, runs }) =>
          `Our script from ${origin}${runs ? '' : ', which browsers do not run as it stands there'}.`,
      ),
    ),
    ...(asText.length ? [`Its code as text, ${plural(asText.length, 'time')}.`] : []),
    ...dead.map(({ where }) => `Its code where nothing is rendered (${where}).`),
    ...(orphans.length ? ['A link that was left of it.'] : []),
  ]
}

function drawn({ ready, readyMs, release, items, box, unseen, coveredBy, beside }: WidgetSight): string {
  const when = ready ? `filled${readyMs === null ? '' : ` after ${(readyMs / 1000).toFixed(1)} s`}` : 'not filled'
  const what = [release === null ? '' : `release ${release}`, items ? plural(items, 'item') : '']
    .filter(Boolean)
    .join(', ')
  const lies = beside ? `, in the ${beside} of two columns` : ''
  return `Drawn at ${box.x}, ${box.y}, ${box.width} × ${box.height} px${lies}; ${when}${what ? ` (${what})` : ''}${unseen ? `; not seen: ${unseen}${coveredBy ? ` by ${coveredBy}` : ''}` : ''}.`
}

const decided = (findings: readonly Finding[]): string[] =>
  findings.length
    ? findings.map(({ code, title, proof }) => `${title} (${code}), by the page ${lookKinds[proof.look].name}.`)
    : ['Nothing is wrong.']

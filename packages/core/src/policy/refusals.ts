import { allows } from './match-source'
import { directiveFor, type Policy } from './read-policy'

/** One kind of request that a policy refuses, with what to add so that it does not. */
export interface Refusal {
  /** Which of the policies. */
  policy: number
  /** The kind that is asked for, as the directive that would decide over it. */
  kind: string
  /** Nothing else is asked for. */
  only: boolean
  /** The directive that decides, as the policy writes it. */
  directive: string
  sources: readonly string[]
  /** The smallest addition: one directive, whole, ready to copy. */
  rule: string
  /** The same by a nonce or a hash, where hosts count for nothing (`'strict-dynamic'`), as a clause. */
  besides: string | null
}

/** Requests that a widget cannot do without; what else it asks for, pictures and fonts, it can. */
const ESSENTIAL = ['script-src', 'connect-src', 'frame-src']

/** What stops a widget altogether: one of these, or all it asks for. */
export const isEssential = ({ kind, only }: Refusal): boolean => only || ESSENTIAL.includes(kind)

/** Whether what a directive lists lets one origin through; for scripts the element itself may say more than its address. */
type Lets = (sources: readonly string[], kind: string, origin: string) => boolean

/**
 * What policies refuse of what a method needs, what stops it altogether first.
 * @param needs sources by directive, each an origin
 * @param page the page's own address
 * @source CSP Level 3: every policy of a page counts, each on its own (section 3.1); hosts are left out of account where
 * `'strict-dynamic'` stands (section 6.7.1.1)
 */
export function refusals(
  policies: readonly Policy[],
  needs: Record<string, readonly string[]>,
  page: URL,
  lets: Lets = (sources, _kind, origin) => allows(sources, { url: new URL('/', origin), page }),
): Refusal[] {
  const all = policies.flatMap((policy, index) =>
    Object.entries(needs).flatMap(([kind, origins]) => {
      const decides = directiveFor(policy, kind)
      if (!decides) return []
      const refused = origins.filter((origin) => !lets(decides.sources, kind, origin))
      return refused.length
        ? [{ ...refusal(index, kind, decides, refused), only: Object.keys(needs).length === 1 }]
        : []
    }),
  )
  return [...all.filter(isEssential), ...all.filter((one) => !isEssential(one))]
}

/** All additions in one, ready to copy: a policy's with `;` between them, several policies' as a header has them, with `,`. */
export function additions(refused: readonly Refusal[]): string {
  const policies = new Map<number, string[]>()
  for (const { policy, rule } of refused) policies.set(policy, [...(policies.get(policy) ?? []), rule])
  return [...policies.values()].map((rules) => rules.join('; ')).join(', ')
}

/** The directive that decides, as a policy writes it, cut where it is long. */
export const directiveSaid = ({ directive, sources }: Pick<Refusal, 'directive' | 'sources'>): string =>
  `${directive} ${sources.join(' ').slice(0, 200) || "'none'"}`

function refusal(
  policy: number,
  kind: string,
  { name, sources }: { name: string; sources: readonly string[] },
  origins: string[],
): Omit<Refusal, 'only'> {
  const kept = sources.filter((source) => source.toLowerCase() !== "'none'")
  // What stands in for others is left as it is: added there, it would let more through than is needed.
  const own = name === kind || name === 'script-src-elem' ? name : kind
  return {
    policy,
    kind,
    directive: name,
    sources,
    rule: `${own} ${[...kept, ...origins].join(' ')}`,
    besides: kind === 'script-src' ? byNonce(sources) : null,
  }
}

function byNonce(sources: readonly string[]): string | null {
  const lower = sources.map((source) => source.toLowerCase())
  const hasNonce = lower.some((source) => source.startsWith("'nonce-"))
  if (lower.includes("'strict-dynamic'"))
    return hasNonce
      ? 'this policy counts no addresses: the site has to write its nonce into our script'
      : 'this policy counts no addresses: the site has to add the script’s hash, or load it from a script of its own'
  return hasNonce ? 'or the site writes its nonce into our script' : null
}

/** One content security policy: its directives by name, each with its sources as written. */
export type Policy = ReadonlyMap<string, readonly string[]>

/** Policies in a header's value or a `meta` element's content; a directive counts where it is first said (CSP Level 3, section 2.2.1). */
export function readPolicies(text: string): Policy[] {
  return text
    .slice(0, 20_000)
    .split(',')
    .map(readPolicy)
    .filter((policy) => policy.size > 0)
}

function readPolicy(text: string): Policy {
  const directives = new Map<string, string[]>()
  for (const part of text.split(';')) {
    const [name, ...sources] = part.trim().split(/\s+/)
    const directive = name?.toLowerCase()
    if (directive && !directives.has(directive)) directives.set(directive, sources)
  }
  return directives
}

/** What stands in for a directive that is not said (CSP Level 3, section 6.8.3). */
const fallbacks: Record<string, readonly string[]> = {
  'script-src': ['script-src-elem', 'script-src', 'default-src'],
  'connect-src': ['connect-src', 'default-src'],
  'frame-src': ['frame-src', 'child-src', 'default-src'],
  'font-src': ['font-src', 'default-src'],
  'img-src': ['img-src', 'default-src'],
}

/** The directive of a policy that decides over one kind of request, with its sources; null where none does. */
export function directiveFor(policy: Policy, kind: string): { name: string; sources: readonly string[] } | null {
  const name = (fallbacks[kind] ?? [kind, 'default-src']).find((one) => policy.has(one))
  return name ? { name, sources: policy.get(name)! } : null
}

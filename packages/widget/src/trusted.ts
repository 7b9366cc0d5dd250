interface TrustedTypes {
  createPolicy(name: string, rules: { createHTML(html: string): string }): { createHTML(html: string): string }
}

let policy: ReturnType<TrustedTypes['createPolicy']> | null | undefined

/** Pages that ask for Trusted Types take HTML from a policy only. What we write was escaped when it was rendered. */
export function trusted(html: string): string {
  if (policy === undefined) {
    try {
      const types = (globalThis as { trustedTypes?: TrustedTypes }).trustedTypes
      policy = types?.createPolicy('pebblestrand', { createHTML: (text) => text }) ?? null
    } catch {
      policy = null // not allowed by the page
    }
  }
  return policy ? policy.createHTML(html) : html
}

/** Markup of ours as nodes. */
export function nodesOf(html: string): DocumentFragment {
  const template = document.createElement('template')
  template.innerHTML = trusted(html)
  return template.content
}

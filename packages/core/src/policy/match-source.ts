/** What a source expression is held against. */
export interface Request {
  url: URL
  /** The page's own address: what `'self'` is, and where a source without a scheme gets it from. */
  page: URL
  /** Of the element that asks, for scripts. */
  nonce?: string
  integrity?: string
}

/**
 * Whether sources allow a request that the page's own markup makes.
 * @source CSP Level 3, sections 6.7.2.5 to 6.7.2.12 (matching a URL), 6.7.1.1 (scripts by nonce and by integrity).
 */
export function allows(sources: readonly string[], request: Request): boolean {
  const lower = sources.map((source) => source.toLowerCase())
  if (!lower.length || (lower.length === 1 && lower[0] === "'none'")) return false
  if (
    request.nonce &&
    sources.some((source) => source.toLowerCase().startsWith("'nonce-") && source.slice(7, -1) === request.nonce)
  )
    return true
  if (request.integrity && hashesAllow(sources, request.integrity)) return true
  // Then only nonces and hashes count for what stands in the markup.
  if (lower.includes("'strict-dynamic'") && request.nonce !== undefined) return false
  return sources.some((source) => matches(source, request))
}

function hashesAllow(sources: readonly string[], integrity: string): boolean {
  const known = new Set(
    sources.filter((source) => /^'sha(256|384|512)-/i.test(source)).map((source) => source.slice(1, -1)),
  )
  const own = integrity.split(/\s+/).filter((hash) => /^sha(256|384|512)-/i.test(hash))
  return own.length > 0 && own.every((hash) => known.has(hash))
}

const schemePart = (allowed: string, actual: string) =>
  allowed === actual ||
  (allowed === 'http' && actual === 'https') ||
  (allowed === 'ws' && (actual === 'wss' || actual === 'http' || actual === 'https')) ||
  (allowed === 'wss' && actual === 'https')

const schemeOf = (url: URL) => url.protocol.slice(0, -1)
const DEFAULT_PORTS: Record<string, string> = { http: '80', https: '443', ws: '80', wss: '443' }
const portOf = (url: URL) => url.port || DEFAULT_PORTS[schemeOf(url)] || ''

const HOST = /^(?:([a-z][a-z0-9+.-]*):\/\/)?((?:\*\.)?[a-z0-9_-]+(?:\.[a-z0-9_-]+)*|\*)(?::(\d+|\*))?(\/[^?#]*)?$/i

function matches(source: string, { url, page }: Request): boolean {
  const scheme = schemeOf(url)
  if (source === '*') return ['http', 'https', 'ws', 'wss'].includes(scheme) || scheme === schemeOf(page)
  const onlyScheme = /^([a-z][a-z0-9+.-]*):$/i.exec(source)?.[1]
  if (onlyScheme) return schemePart(onlyScheme.toLowerCase(), scheme)
  if (source.toLowerCase() === "'self'")
    return (
      url.hostname === page.hostname &&
      schemePart(schemeOf(page), scheme) &&
      (portOf(url) === portOf(page) || (!url.port && !page.port))
    )
  const m = HOST.exec(source)
  if (!m) return false
  const [, named, host, port, path] = m
  if (!schemePart((named ?? schemeOf(page)).toLowerCase(), scheme)) return false
  if (!hostMatches(host!.toLowerCase(), url.hostname.toLowerCase())) return false
  if (!portMatches(port, url)) return false
  return !path || path === '/' || pathMatches(path, url.pathname)
}

function hostMatches(pattern: string, host: string): boolean {
  if (pattern === '*') return true
  return pattern.startsWith('*.') ? host.endsWith(pattern.slice(1)) : pattern === host
}

function portMatches(port: string | undefined, url: URL): boolean {
  if (port === '*') return true
  if (port === undefined) return !url.port
  return port === portOf(url) || (port === '80' && portOf(url) === '443')
}

function pathMatches(pattern: string, path: string): boolean {
  const [wanted, actual] = [decodeURI(pattern), decodeURI(path)]
  return wanted.endsWith('/') ? actual.startsWith(wanted) : wanted === actual
}

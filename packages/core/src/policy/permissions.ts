import {
  isInnerList,
  parseDictionary,
  serializeDictionary,
  Token,
  type Dictionary,
  type Item,
} from 'structured-headers'

/** One feature's allowlist, as a site's header writes it. */
type AllowList = readonly Item[]

/**
 * Whether a page's permissions policy keeps a feature from a frame of some origin that the page's own markup allows it.
 * @param header `Permissions-Policy`, '' where there is none; one that cannot be read says nothing, as browsers have it
 * @source Permissions Policy (W3C), section 5.2 (structured header: `*`, `self`, or a list of them and of origins) and section 9.5
 * (a feature that the header does not name is delegated by the frame's `allow`)
 */
export function withholds(header: string, feature: string, origin: string, page: URL): boolean {
  const list = allowListOf(read(header), feature)
  return list !== null && !list.some((item) => matches(item, origin, page))
}

/** The smallest addition that lets frames of these origins use a feature: its directive, whole, ready to copy. */
export function permissionFor(header: string, feature: string, origins: readonly string[], page: URL): string {
  const list = allowListOf(read(header), feature) ?? []
  const missing = origins.filter((origin) => !list.some((item) => matches(item, origin, page)))
  return serializeDictionary(
    new Map([[feature, [[...list, ...missing.map((origin): Item => [origin, new Map()])], new Map()]]]),
  )
}

function read(header: string): Dictionary {
  try {
    return parseDictionary(header)
  } catch {
    return new Map()
  }
}

/** Null where the header does not name the feature. */
function allowListOf(policy: Dictionary, feature: string): AllowList | null {
  const member = policy.get(feature)
  if (!member) return null
  return isInnerList(member) ? member[0] : [member]
}

function matches([value]: Item, origin: string, page: URL): boolean {
  if (value instanceof Token) return value.toString() === '*' || (value.toString() === 'self' && origin === page.origin)
  if (typeof value !== 'string') return false
  if (value === origin) return true
  // All hosts below one (section 5.2, "origins with a wildcard").
  const below = /^([a-z]+:\/\/)\*(\.[^/]+)$/i.exec(value)
  return below !== null && origin.startsWith(below[1]!) && origin.endsWith(below[2]!)
}

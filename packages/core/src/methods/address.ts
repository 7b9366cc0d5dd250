import { publicPaths, type PublicPath } from '../wire'

/** An address as a page may write it, relative or not; null where it is none. `relative.invalid` stands for the page's own host. */
export function parsedAddress(address: string | undefined): URL | null {
  if (!address || address.length > 2000) return null
  try {
    return new URL(address, 'https://relative.invalid')
  } catch {
    return null
  }
}

const patterns = Object.fromEntries(
  Object.entries(publicPaths).map(([name, path]) => [
    name,
    new RegExp(`^${path.replace(/\./g, '\\.').replace(/\{\w+\}/g, '([^/?#]+)')}$`),
  ]),
) as Record<PublicPath, RegExp>

/** The name in an address's path, where it is that public path; null where not. */
export function nameIn(url: URL | null, path: PublicPath): string | null {
  const name = url && patterns[path].exec(url.pathname)?.[1]
  return name ? decoded(name) : null
}

export const isPath = (url: URL | null, path: PublicPath) => url !== null && patterns[path].test(url.pathname)

function decoded(segment: string): string {
  try {
    return decodeURIComponent(segment)
  } catch {
    return segment // a lone % is no escape
  }
}

/** The name in an address that is a public path at this very origin; null where it is not. */
export function nameInPath(address: string, path: PublicPath, origin: string): string | null {
  const url = parsedAddress(address)
  return url?.origin === origin ? nameIn(url, path) : null
}

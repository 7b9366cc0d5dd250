/**
 * Whether a page would load what is ours as mixed content: over https neither scripts nor frames over http, but from the machine itself.
 * @source Mixed Content (W3C), section 5.1; what counts as trustworthy without https: Secure Contexts, section 3.1
 */
export function isMixed(page: string, origin: string): boolean {
  const isLocal = /^http:\/\/(?:[\w-]+\.)*localhost(?::\d+)?$|^http:\/\/127\./.test(origin)
  return page.startsWith('https:') && origin.startsWith('http:') && !isLocal
}

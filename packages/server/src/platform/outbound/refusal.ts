import { isIP } from 'node:net'
import { specialPurpose } from './special-addresses'

export interface Openings {
  /** Whether `NAME.localhost` may be reached (the demo's simulated sites). */
  localhostNames: boolean
  /** Whether everything may be reached, on this machine and in its networks: for whoever asks from the command line. */
  privateAddresses?: boolean
}

/** Where web pages are served: the two of the schemes, and those that are common beside them. */
const PORTS = ['', '80', '443', '8000', '8008', '8080', '8443', '8888']

/** Why an address is refused before any connection, as a sentence; null where it may be tried. */
export function refusalOf(address: string, openings: Openings): string | null {
  let url: URL
  try {
    url = new URL(address)
  } catch {
    return 'This is not a complete address; it begins with http:// or https://.'
  }
  if (url.protocol !== 'http:' && url.protocol !== 'https:')
    return `Only http and https addresses are opened, not ${url.protocol.slice(0, -1)}.`
  if (url.username || url.password) return 'Addresses that carry a name or password are not opened.'
  if (openings.privateAddresses) return null
  const host = url.hostname.replace(/^\[|\]$/g, '')
  if (isIP(host)) {
    const leadsTo = specialPurpose(host)
    if (leadsTo) return `${host} leads to ${leadsTo}; only addresses that anyone can reach are opened.`
  }
  if (isLocalName(host)) {
    return isOpenName(host, openings)
      ? null
      : `${host} leads to this machine itself; only addresses that anyone can reach are opened.`
  }
  if (!PORTS.includes(url.port))
    return `Only ports that web pages are served on are opened (${PORTS.slice(1).join(', ')}), not ${url.port}.`
  return null
}

/** RFC 6761 section 6.3: `localhost` and every name below it. */
export const isLocalName = (host: string) => /(^|\.)localhost\.?$/i.test(host)

export const isOpenName = (host: string, { localhostNames }: Openings) =>
  localhostNames && /^[\w-]+\.localhost$/i.test(host)

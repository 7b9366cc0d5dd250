import { isIPv6 } from 'node:net'
import ipaddr from 'ipaddr.js'

/** Bits that one household or office has: of IPv6 a subscriber is given a whole /64 at least (RFC 6177, section 2). */
const SUBSCRIBER = { ipv4: 32, ipv6: 64 }
/** Bits that one provider hands out side by side; common practice, no source. */
const NEIGHBOURS = { ipv4: 24, ipv6: 48 }

/** In the one spelling of RFC 5952, as the URL standard writes it; ipaddr.js takes `::192.0.2.1` for `::ffff:192.0.2.1`. */
const oneSpelling = (address: string) =>
  isIPv6(address) && URL.canParse(`http://[${address}]`)
    ? new URL(`http://[${address}]`).hostname.slice(1, -1)
    : address

function shortened(address: string, bits: typeof SUBSCRIBER): string {
  const spelled = oneSpelling(address)
  if (!ipaddr.isValid(spelled)) return 'unknown'
  const read = ipaddr.process(spelled) // an IPv4 address in IPv6's spelling is itself
  const of = bits[read.kind()]
  const bytes = read.toByteArray().map((byte, at) => byte & (0xff00 >> Math.min(8, Math.max(0, of - 8 * at))))
  return `${ipaddr.fromByteArray(bytes).toString()}/${of}`
}

/** Whom an address counts as: itself, or its /64. `unknown` for what is no address. */
export const subscriberOf = (address: string): string => shortened(address, SUBSCRIBER)

/** The network around it: its /24, or its /48. */
export const neighboursOf = (address: string): string => shortened(address, NEIGHBOURS)

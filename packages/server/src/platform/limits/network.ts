import ipaddr from 'ipaddr.js'

/** Bits that one household or office has: of IPv6 a subscriber is given a whole /64 at least (RFC 6177, section 2). */
const SUBSCRIBER = { ipv4: 32, ipv6: 64 }
/** Bits that one provider hands out side by side; common practice, no source. */
const NEIGHBOURS = { ipv4: 24, ipv6: 48 }

function shortened(address: string, bits: typeof SUBSCRIBER): string {
  if (!ipaddr.isValid(address)) return 'unknown'
  const read = ipaddr.process(address) // an IPv4 address in IPv6's spelling is itself
  const of = bits[read.kind()]
  const bytes = read.toByteArray().map((byte, at) => byte & (0xff00 >> Math.min(8, Math.max(0, of - 8 * at))))
  return `${ipaddr.fromByteArray(bytes).toString()}/${of}`
}

/** Whom an address counts as: itself, or its /64. `unknown` for what is no address. */
export const subscriberOf = (address: string): string => shortened(address, SUBSCRIBER)

/** The network around it: its /24, or its /48. */
export const neighboursOf = (address: string): string => shortened(address, NEIGHBOURS)

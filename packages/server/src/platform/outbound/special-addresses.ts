import ipaddr from 'ipaddr.js'

// IANA special-purpose address registries for IPv4 and IPv6 (RFC 6890 and its updates), every block that is not globally
// reachable or leads into other networks; and multicast, which those registries leave to their own.

const blocks: [string, string][] = [
  ['0.0.0.0/8', 'this network'],
  ['10.0.0.0/8', 'a private network'],
  ['100.64.0.0/10', 'shared address space'],
  ['127.0.0.0/8', 'this machine itself'],
  ['169.254.0.0/16', 'the local link'],
  ['172.16.0.0/12', 'a private network'],
  ['192.0.0.0/24', 'protocol assignments'],
  ['192.0.2.0/24', 'documentation'],
  ['192.31.196.0/24', 'a special service'],
  ['192.52.193.0/24', 'a special service'],
  ['192.88.99.0/24', 'a relay'],
  ['192.168.0.0/16', 'a private network'],
  ['192.175.48.0/24', 'a special service'],
  ['198.18.0.0/15', 'benchmarking'],
  ['198.51.100.0/24', 'documentation'],
  ['203.0.113.0/24', 'documentation'],
  ['224.0.0.0/4', 'multicast'],
  ['240.0.0.0/4', 'reserved'],
  ['::1/128', 'this machine itself'],
  ['::/128', 'no address'],
  ['::/96', 'an IPv4 address in an old spelling'], // RFC 4291 section 2.5.5.1, deprecated
  ['::ffff:0:0:0/96', 'an address translator'], // RFC 2765 section 2.1, deprecated
  ['64:ff9b::/96', 'an address translator'],
  ['64:ff9b:1::/48', 'an address translator'],
  ['100::/64', 'discarded'],
  ['100:0:0:1::/64', 'discarded'],
  ['2001::/23', 'protocol assignments'],
  ['2001:db8::/32', 'documentation'],
  ['2002::/16', 'a relay'],
  ['2620:4f:8000::/48', 'a special service'],
  ['3fff::/20', 'documentation'],
  ['5f00::/16', 'segment routing'],
  ['fc00::/7', 'a private network'],
  ['fe80::/10', 'the local link'],
  ['fec0::/10', 'a private network'],
  ['ff00::/8', 'multicast'],
]

const ranges = blocks.map(([cidr, leadsTo]) => ({ range: ipaddr.parseCIDR(cidr), leadsTo }))

/** Where a special address leads, in words; null for an address anyone may reach. IPv4 written as IPv6 is seen through. */
export function specialPurpose(address: string): string | null {
  if (!ipaddr.isValid(address)) return 'nowhere we can tell'
  const ip = ipaddr.process(address)
  return (
    ranges.find(({ range: [net, bits] }) => net.kind() === ip.kind() && ip.match(net as never, bits))?.leadsTo ?? null
  )
}

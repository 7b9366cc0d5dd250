import dns from 'node:dns'
import type { LookupFunction } from 'node:net'
import { LOOPBACK } from './loopback'
import { isLocalName, isOpenName, type Openings } from './refusal'
import { specialPurpose } from './special-addresses'

export class AddressRefused extends Error {}

/**
 * A lookup for sockets that looks at every address a name has, at the moment of connecting, so that a name cannot be
 * checked under one address and reached under another. `.localhost` names are answered here: Node's DNS does not know them.
 */
export function checkedLookup(openings: Openings): LookupFunction {
  return (hostname, options, callback) => {
    if (isOpenName(hostname, openings) || (openings.privateAddresses && isLocalName(hostname))) {
      if (options.all) return callback(null, [{ address: LOOPBACK, family: 4 }])
      return callback(null, LOOPBACK, 4)
    }
    dns.lookup(hostname, { ...options, all: true }, (error, found) => {
      if (error) return callback(error, '', 4)
      const special = openings.privateAddresses
        ? null
        : found.map(({ address }) => specialPurpose(address)).find((s) => s !== null)
      if (special)
        return callback(
          new AddressRefused(`${hostname} leads to ${special}; only addresses that anyone can reach are opened.`),
          '',
          4,
        )
      if (options.all) return callback(null, found)
      return callback(null, found[0]!.address, found[0]!.family)
    })
  }
}

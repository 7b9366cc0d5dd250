import { isIPv4 } from 'node:net'

/**
 * The address that `localhost` and every name below it lead to, from here (RFC 6761, section 6.3). Another one of 127.0.0.0/8 lets several
 * whole systems run on one machine with the same ports, as the browser tests do.
 */
export const LOOPBACK = loopbackIn(process.env)

/** @throws where the environment names an address that is not loopback (RFC 1122, section 3.2.1.3) */
export function loopbackIn({ PEBBLESTRAND_LOOPBACK: address = '127.0.0.1' }: NodeJS.ProcessEnv): string {
  if (isIPv4(address) && address.startsWith('127.')) return address
  throw new Error(`PEBBLESTRAND_LOOPBACK is "${address}"; it must be an address like 127.0.0.1, in 127.0.0.0/8.`)
}

/** Where the stand-ins listen, and where `localhost` leads to from them: several whole systems on one machine have the same ports. */
export const LOOPBACK = process.env.PEBBLESTRAND_LOOPBACK ?? '127.0.0.1'

/** An address as it is asked for from here. */
export function reached(address: string): string {
  const url = new URL(address)
  if (url.hostname === 'localhost') url.hostname = LOOPBACK
  return url.href
}

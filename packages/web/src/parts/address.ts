/** A long address cut in its middle, so that host and end stay readable. */
export function shortAddress(address: string, most = 52): string {
  const bare = address.replace(/^https?:\/\//, '').replace(/\/$/, '')
  if (bare.length <= most) return bare
  const head = Math.ceil((most - 1) * 0.6)
  return `${bare.slice(0, head)}…${bare.slice(bare.length - (most - 1 - head))}`
}

export const plural = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`

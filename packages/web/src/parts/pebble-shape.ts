/** A steady number stream from an id, so that a pebble keeps its shape. */
function stream(seed: string): () => number {
  let state = 2166136261
  for (const letter of seed) state = Math.imul(state ^ letter.charCodeAt(0), 16777619) >>> 0
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 4294967296
  }
}

/** A worn stone in a 20 by 17 box: an ellipse whose eight handles are off by a little. */
export function pebbleShape(seed: string): string {
  const next = stream(seed)
  const off = (most: number) => (next() - 0.5) * most
  const [top, right, bottom, left] = [
    [10 + off(3), 1.5 + off(1)],
    [18.5 + off(1), 8.5 + off(2.4)],
    [10 + off(3), 15.5 + off(1)],
    [1.5 + off(1), 8.5 + off(2.4)],
  ] as [[number, number], [number, number], [number, number], [number, number]]
  const c = (x: number) => x.toFixed(1)
  const curve = (from: [number, number], to: [number, number], flat: boolean) => {
    const a = flat ? [from[0] + (to[0] - from[0]) * 0.56, from[1]] : [from[0], from[1] + (to[1] - from[1]) * 0.56]
    const b = flat ? [to[0], to[1] - (to[1] - from[1]) * 0.56] : [to[0] - (to[0] - from[0]) * 0.56, to[1]]
    return `C${c(a[0]!)} ${c(a[1]!)} ${c(b[0]!)} ${c(b[1]!)} ${c(to[0])} ${c(to[1])}`
  }
  return `M${c(top[0])} ${c(top[1])}${curve(top, right, true)}${curve(right, bottom, false)}${curve(bottom, left, true)}${curve(left, top, false)}Z`
}

/**
 * Where pebbles lie on a strand: evenly, each off by a little; x and y as shares of the slot. Two neighbours come no nearer than four
 * fifths of a slot.
 */
export function lie(seed: string): { x: number; y: number } {
  const next = stream(`lie ${seed}`)
  return { x: (next() - 0.5) * 0.2, y: (next() - 0.5) * 0.5 }
}

/** A thin line that is not quite straight, through a box 500 wide and 8 high. */
export function strandLine(seed: string): string {
  const next = stream(`strand ${seed}`)
  const y = () => (4 + (next() - 0.5) * 4).toFixed(1)
  return `M0 ${y()}C80 ${y()} 160 ${y()} 250 ${y()}S420 ${y()} 500 ${y()}`
}

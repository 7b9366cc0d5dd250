/** Channels 0 to 255 of `#rgb` or `#rrggbb`. */
export function channels(hex: string): [number, number, number] {
  const full = hex.length === 4 ? hex.replace(/[0-9a-f]/gi, '$&$&') : hex
  return [1, 3, 5].map((at) => parseInt(full.slice(at, at + 2), 16)) as [number, number, number]
}

/** Relative luminance, WCAG 2.2 definition. */
export function luminance(hex: string): number {
  const [r, g, b] = channels(hex).map((value) => {
    const c = value / 255
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4
  }) as [number, number, number]
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}

/** Contrast ratio of two colours, 1 to 21, WCAG 2.2 definition. */
export function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number]
  return (light + 0.05) / (dark + 0.05)
}

/** What a ratio is good for: WCAG 2.2, 1.4.3 asks 4.5 for text, 3 for large text. Cut, not rounded: 4.499 is 4.49. */
export function contrastVerdict(ratio: number): { passes: boolean; says: string } {
  const shown = (Math.floor(ratio * 100) / 100).toFixed(ratio >= 10 ? 1 : 2)
  if (ratio >= 4.5) return { passes: true, says: `${shown}:1` }
  if (ratio >= 3) return { passes: false, says: `${shown}:1, enough for large text only` }
  return { passes: false, says: `${shown}:1, too little to read` }
}

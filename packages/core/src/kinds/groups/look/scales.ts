/** Times what is usual. */
export const scales = { smaller: 0.875, usual: 1, larger: 1.125, largest: 1.25 } as const
export type Scale = keyof typeof scales

/** Which of the three sizes a text follows. */
export type TextRole = 'heading' | 'text' | 'small'

/** A text's size in px and the height of its lines, as a multiple or, from 4 on, in px. */
export interface TextSize {
  of: TextRole
  size: number
  line: number
}

/** How large the three are. */
export interface Sizes {
  headingSize: Scale
  textSize: Scale
  smallSize: Scale
}

const tenths = (px: number) => Math.round(px * 10) / 10

/** A text as large as the settings have it. */
export function sized(text: TextSize, s: Sizes): TextSize {
  const times = scales[s[`${text.of}Size`]]
  return { ...text, size: tenths(text.size * times), line: text.line < 4 ? text.line : Math.round(text.line * times) }
}

/** Every text of a kind as large as the settings have it; plain numbers stay. */
export const sizedAll = <T extends Record<string, TextSize | number>>(texts: T, s: Sizes) =>
  Object.fromEntries(
    Object.entries(texts).map(([name, one]) => [name, typeof one === 'number' ? one : sized(one, s)]),
  ) as { [K in keyof T]: T[K] extends number ? number : TextSize }

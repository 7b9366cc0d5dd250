import { escapeAttribute } from '../markup'

/** A frame cannot grow with its content: room for lines that break earlier than was worked out (e2e/fit.spec.ts). */
export const SLACK = 1.15

interface FrameElement {
  src: string
  title: string
  /** Px. */
  width: number
  height: number
}

/** A frame of ours, always with its size, never wider than its place, loaded when it comes near. */
export const frameElement = ({ src, title, width, height }: FrameElement): string[] => [
  `<iframe src="${escapeAttribute(src)}" title="${escapeAttribute(title)}"`,
  `  width="${width}" height="${height}" loading="lazy"`,
  '  style="border:0;max-width:100%"></iframe>',
]

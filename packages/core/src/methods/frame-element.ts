import { escapeAttribute } from '../markup'

/** A frame cannot grow with its content: room for lines that break earlier than was worked out (e2e/fit.spec.ts). */
export const SLACK = 1.15

/**
 * What a page of ours needs in a frame, and nothing else (HTML standard, the iframe element's `sandbox` attribute): its script, and
 * links that open in a new tab or in place of the page. Without `allow-same-origin` it has no origin of its own.
 */
export const PAGE_SANDBOX =
  'allow-scripts allow-popups allow-popups-to-escape-sandbox allow-top-navigation-by-user-activation'

interface FrameElement {
  src: string
  title: string
  /** Px. */
  width: number
  height: number
  /** Whether a press plays a film in it. */
  plays?: boolean
  /** Whether it has a form, which has to be allowed to be sent where no script runs. */
  asks?: boolean
}

/** A frame of ours, always with its size, never wider than its place, loaded when it comes near, with no more rights than it needs. */
export const frameElement = ({ src, title, width, height, plays, asks }: FrameElement): string[] => [
  `<iframe src="${escapeAttribute(src)}" title="${escapeAttribute(title)}"`,
  `  width="${width}" height="${height}" loading="lazy"`,
  `  sandbox="${PAGE_SANDBOX}${asks ? ' allow-forms' : ''}"${plays ? ' allow="fullscreen; autoplay"' : ''}`,
  '  style="border:0;max-width:100%"></iframe>',
]

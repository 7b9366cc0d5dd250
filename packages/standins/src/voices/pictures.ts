import sharp from 'sharp'
import { drawShore } from '../sites/picture'

const TINTS = ['#7a5c3e', '#3e6b7a', '#6b7a3e', '#7a3e5c', '#4a4a7a']

/** A photograph somebody sent along: a drawn shore as JPEG, 1600 x 900 px. */
export const photograph = (name: string): Promise<Buffer> =>
  sharp(Buffer.from(drawShore(name)), { density: 180 })
    .resize(1600, 900)
    .jpeg({ quality: 80 })
    .toBuffer()

/** The picture of whoever wrote: the letter on a colour, PNG, 160 px square. */
export function face(author: string): Promise<Buffer> {
  const tint = TINTS[[...author].reduce((sum, c) => sum + c.codePointAt(0)!, 0) % TINTS.length]!
  return sharp({ create: { width: 160, height: 160, channels: 3, background: tint } })
    .composite([
      {
        input: Buffer.from(
          `<svg width="160" height="160"><circle cx="80" cy="62" r="30" fill="#fff" opacity=".8"/><path d="M20 160q60-90 120 0z" fill="#fff" opacity=".8"/></svg>`,
        ),
      },
    ])
    .png()
    .toBuffer()
}

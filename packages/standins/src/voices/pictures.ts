import sharp from 'sharp'
import { drawShore } from '../drawing/shore'

// It shares the machine with what is tried against it.
sharp.concurrency(1)

const MOST = 300

/** Each picture is drawn once. */
function once(draw: (name: string) => Promise<Buffer>): (name: string) => Promise<Buffer> {
  const drawn = new Map<string, Promise<Buffer>>()
  return (name) => {
    if (drawn.size > MOST) drawn.clear()
    const there = drawn.get(name) ?? draw(name)
    drawn.set(name, there)
    return there
  }
}

/** A photograph somebody sent along: a drawn shore as JPEG, 1600 x 900 px. */
export const photograph = once((name) =>
  sharp(Buffer.from(drawShore(name)))
    .resize(1600, 900)
    .jpeg({ quality: 80 })
    .toBuffer(),
)

/** What an author has for a picture: a corner of a shore, PNG, 160 px square. */
export const face = once((author) =>
  sharp(Buffer.from(drawShore(author)))
    .extract({ left: 180, top: 60, width: 240, height: 240 })
    .resize(160, 160)
    .png()
    .toBuffer(),
)

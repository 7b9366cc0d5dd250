import sharp from 'sharp'
import { drawShore } from '../sites/picture'

/** A photograph somebody sent along: a drawn shore as JPEG, 1600 x 900 px. */
export const photograph = (name: string): Promise<Buffer> =>
  sharp(Buffer.from(drawShore(name)), { density: 180 })
    .resize(1600, 900)
    .jpeg({ quality: 80 })
    .toBuffer()

/** What an author has for a picture: a corner of a shore, PNG, 160 px square. */
export const face = (author: string): Promise<Buffer> =>
  sharp(Buffer.from(drawShore(author)))
    .extract({ left: 180, top: 60, width: 240, height: 240 })
    .resize(160, 160)
    .png()
    .toBuffer()

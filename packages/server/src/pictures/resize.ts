import sharp from 'sharp'

// Only what sites show to people is opened: no SVG, no PDF, nothing that runs a program of its own.
sharp.block({ operation: ['VipsForeignLoad'] })
sharp.unblock({
  operation: [
    'VipsForeignLoadJpegBuffer',
    'VipsForeignLoadPngBuffer',
    'VipsForeignLoadWebpBuffer',
    'VipsForeignLoadNsgifBuffer',
    'VipsForeignLoadHeifBuffer',
  ],
})
sharp.cache(false)
// One thread, one copy after the other: passwords are hashed in the same pool, and people wait for those.
sharp.concurrency(1)

/** Px: copies for a face, for a small picture, and for one across a column, each as dense screens want it. */
export const WIDTHS = [96, 320, 800]
/** Of 6. At 4, which is usual, copies take twice as long and are hardly smaller. */
const EFFORT = 2
/** Px: what is smaller counts visits, what is larger is no picture for a page. */
const SIDES = { least: 8, most: 12_000 }
const MOST_PIXELS = 50_000_000
const FORMATS = new Set(['jpeg', 'png', 'webp', 'gif', 'heif'])

export class NoPicture extends Error {}

export interface Copy {
  width: number
  format: 'webp' | 'jpg'
  bytes: Buffer
}

/**
 * Copies of a picture in the widths needed, in WebP and JPEG, upright, without what a camera wrote into it (EXIF, place).
 * Throws NoPicture where the bytes are none that is shown.
 */
export async function copiesOf(bytes: Uint8Array): Promise<Copy[]> {
  if (!bytes.length) throw new NoPicture('There is nothing at its address.')
  const open = () => sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
  const {
    format,
    width = 0,
    height = 0,
    autoOrient: upright = { width, height },
  } = await open()
    .metadata()
    .catch(() => {
      throw new NoPicture('It is no JPEG, PNG, WebP, GIF or AVIF.')
    })
  if (!FORMATS.has(format)) throw new NoPicture('It is no JPEG, PNG, WebP, GIF or AVIF.')
  const [short, long] = [Math.min(width, height), Math.max(width, height)]
  if (short < SIDES.least || long > SIDES.most) throw new NoPicture(`It is ${width} by ${height} px.`)
  const fitting = WIDTHS.filter((one) => one < upright.width)
  const widths = fitting.length < WIDTHS.length ? [...fitting, Math.min(upright.width, WIDTHS.at(-1)!)] : fitting
  const copies: Copy[] = []
  for (const px of new Set(widths)) {
    const resized = open().autoOrient().resize({ width: px, withoutEnlargement: true })
    const [webp, jpg] = [
      resized.clone().webp({ quality: 78, effort: EFFORT }),
      resized.flatten({ background: '#ffffff' }).jpeg({ quality: 80 }),
    ]
    copies.push({ width: px, format: 'webp', bytes: await webp.toBuffer().catch(asNoPicture) })
    copies.push({ width: px, format: 'jpg', bytes: await jpg.toBuffer().catch(asNoPicture) })
  }
  return copies
}

/** Of a picture that copies could be made of; px, upright. */
export async function shapeOf(bytes: Uint8Array): Promise<{ format: string; width: number; height: number }> {
  const { format, width, height, autoOrient } = await sharp(bytes, { limitInputPixels: MOST_PIXELS }).metadata()
  return { format, width: autoOrient?.width ?? width, height: autoOrient?.height ?? height }
}

const asNoPicture = (): never => {
  throw new NoPicture('It is damaged.')
}

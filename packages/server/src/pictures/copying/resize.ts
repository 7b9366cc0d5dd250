import sharp from 'sharp'
import { NoPicture } from './no-picture'

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
sharp.concurrency(1)

/** Px: copies for a face, for a small picture, and for one across a column, each as dense screens want it. */
export const WIDTHS = [96, 320, 800]
/** Of 6. At 4, which is usual, copies take twice as long and are hardly smaller. */
const EFFORT = 2
/** Px: what is smaller counts visits, what is larger is no picture for a page. */
const SIDES = { least: 8, most: 12_000 }
/** Pixels that are decoded at the most, by format: of AVIF one costs about five times as much as of the others. */
const MOST_PIXELS: Record<string, number> = {
  jpeg: 50_000_000,
  png: 50_000_000,
  webp: 50_000_000,
  gif: 50_000_000,
  heif: 16_000_000,
}

export interface Copy {
  width: number
  format: 'webp' | 'jpg'
  bytes: Buffer
}

export interface Copied {
  copies: Copy[]
  /** Of the picture itself: its format, and px, upright. */
  format: string
  width: number
  height: number
}

/**
 * Copies of a picture in the widths needed, in WebP and JPEG, upright, without what a camera wrote into it (EXIF, place). It is decoded
 * once; all copies are made from the largest.
 * @throws NoPicture where the bytes are none that is shown
 */
export async function makeCopies(bytes: Uint8Array): Promise<Copied> {
  if (!bytes.length) throw new NoPicture('There is nothing at its address.')
  const limitInputPixels = Math.max(...Object.values(MOST_PIXELS))
  const open = () => sharp(bytes, { limitInputPixels, failOn: 'error' })
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
  const most = MOST_PIXELS[format]
  if (!most) throw new NoPicture('It is no JPEG, PNG, WebP, GIF or AVIF.')
  const [short, long] = [Math.min(width, height), Math.max(width, height)]
  if (short < SIDES.least || long > SIDES.most || width * height > most)
    throw new NoPicture(`It is ${width} by ${height} px.`)
  const fitting = WIDTHS.filter((one) => one < upright.width)
  const widths = fitting.length < WIDTHS.length ? [...fitting, Math.min(upright.width, WIDTHS.at(-1)!)] : fitting
  const { data, info } = await open()
    .autoOrient()
    .resize({ width: widths.at(-1)!, withoutEnlargement: true })
    .raw()
    .toBuffer({ resolveWithObject: true })
    .catch(asNoPicture)
  const raw = { width: info.width, height: info.height, channels: info.channels }
  const copies: Copy[] = []
  for (const px of new Set(widths)) {
    const resized = sharp(data, { raw }).resize({ width: px, withoutEnlargement: true })
    const [webp, jpg] = [
      resized.clone().webp({ quality: 78, effort: EFFORT }),
      resized.flatten({ background: '#ffffff' }).jpeg({ quality: 80 }),
    ]
    copies.push({ width: px, format: 'webp', bytes: await webp.toBuffer() })
    copies.push({ width: px, format: 'jpg', bytes: await jpg.toBuffer() })
  }
  return { copies, format, ...upright }
}

const asNoPicture = (): never => {
  throw new NoPicture('It is damaged.')
}

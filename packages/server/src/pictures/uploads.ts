import { routes } from '@pebblestrand/contract'
import type { Picture as ItemPicture } from '@pebblestrand/core/items'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import type { Serve } from '../platform/http/serve'
import { knownPictures, ownPicture } from './own-pictures'
import { keepCopies } from './keep-copies'
import { Upload } from './models'
import { copiesOf } from './copying/copies'
import { NoPicture } from './copying/no-picture'

const PATH = '/api/uploads/'

/** Where an uploaded picture is found, as the address it came from. */
const addressOf = ({ config }: Pick<Context, 'config'>, id: string) => config.origin + PATH + id

/** The bytes behind an address of ours; null where it is none of an upload. */
export async function uploadedBytes({ config }: Pick<Context, 'config'>, address: string): Promise<Buffer | null> {
  if (!address.startsWith(config.origin + PATH)) return null
  const id = address.slice((config.origin + PATH).length)
  const upload = /^[0-9a-f-]{36}$/.test(id) ? await Upload.findByPk(id) : null
  if (!upload) throw new NoPicture('It is not there any more.')
  return upload.bytes
}

/** Pictures that people upload: kept as they came, and shown by our own copies, as those from elsewhere are. */
export function uploadRoutes(serve: Serve, context: Context): void {
  const { pictures } = routes
  serve(pictures.upload, async ({ body: { alt, data }, userId }) => {
    const bytes = Buffer.from(data, 'base64')
    const { copies, format, width, height } = await copied(bytes)
    const upload = await Upload.create({ format, bytes, uploadedBy: userId })
    const url = addressOf(context, upload.id)
    await keepCopies(context, url, bytes, copies)
    const picture: ItemPicture = { url, width, height, alt }
    return ownPicture(picture, await knownPictures(context, [url]))!
  })
  serve(pictures.uploaded, async ({ params, reply }) => {
    const upload = await Upload.findByPk(params.id)
    if (!upload) throw new AppError('not-found')
    return reply
      .type(`image/${upload.format === 'heif' ? 'avif' : upload.format}`)
      .header('cache-control', 'private, max-age=31536000, immutable')
      .send(upload.bytes)
  })
  serve(pictures.own, async ({ query: { address } }) => {
    const known = await knownPictures(context, [address])
    return { picture: ownPicture({ url: address, width: null, height: null, alt: '' }, known) }
  })
}

async function copied(bytes: Buffer) {
  try {
    return await copiesOf(bytes)
  } catch (error) {
    if (!(error instanceof NoPicture)) throw error
    throw new AppError('invalid', {
      message: `This picture cannot be used. ${error.message}`,
      remedy: 'Choose a JPEG, PNG, WebP, GIF or AVIF.',
      issues: [{ field: 'data', message: 'is no picture that can be shown' }],
    })
  }
}

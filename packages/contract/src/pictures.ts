import { Picture } from '@pebblestrand/core/items'
import { z } from 'zod'
import { IdParams } from './fields'
import { route } from './route'
import { Address } from './site-fields'

/** Bytes of a picture that is uploaded. */
export const MOST_OF_AN_UPLOAD = 8_000_000

export const pictureRoutes = {
  upload: route({
    method: 'POST',
    path: '/api/uploads',
    may: 'member',
    summary: 'Upload a picture',
    often: { times: 60, seconds: 60 },
    big: MOST_OF_AN_UPLOAD * 2,
    body: z.object({
      alt: z.string().trim().max(300, 'must have 300 letters or fewer').default(''),
      /** In base64 (RFC 4648, section 4). */
      data: z
        .string()
        .min(1, 'is empty')
        .max((MOST_OF_AN_UPLOAD * 4) / 3, 'may have 8 MB at most: save it smaller')
        .regex(/^[A-Za-z0-9+/]+={0,2}$/, 'must be base64'),
    }),
    answer: Picture,
  }),
  uploaded: route({
    method: 'GET',
    path: '/api/uploads/:id',
    may: 'member',
    summary: 'A picture as it was uploaded',
    params: IdParams,
    answer: z.string(),
    file: true,
  }),
  own: route({
    method: 'GET',
    path: '/api/pictures',
    may: 'member',
    summary: 'Our copies of the picture at an address; null where there are none',
    query: z.object({ address: Address }),
    answer: z.object({ picture: Picture.nullable() }),
  }),
}

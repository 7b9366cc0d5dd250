import { routes } from '@pebblestrand/contract'
import { ask } from '../api/call'

const { pictures } = routes

/** What can be uploaded, for a file field. */
export const PICTURE_FILES = 'image/jpeg,image/png,image/webp,image/gif,image/avif'

/** Arguments a function is called with at once. */
const CHUNK = 32_768

/** A picture from a person's own machine. */
export async function uploadPicture(file: File) {
  const bytes = new Uint8Array(await file.arrayBuffer())
  let binary = ''
  for (let at = 0; at < bytes.length; at += CHUNK) binary += String.fromCharCode(...bytes.subarray(at, at + CHUNK))
  return ask(pictures.upload, { body: { alt: '', data: btoa(binary) } })
}

/** Our copies of the picture at an address; null where there are none. */
export const ownPicture = async (address: string) => (await ask(pictures.own, { query: { address } })).picture

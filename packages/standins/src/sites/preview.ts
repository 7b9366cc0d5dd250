import { createHash } from 'node:crypto'

/** What opens a page as its editors have it, without signing in: for whoever was given the address. */
const keyOf = (host: string, path: string) =>
  createHash('sha256').update(`preview of ${path} at ${host}`).digest('hex').slice(0, 20)

export const previewPath = (host: string, path: string) => `${path}?preview=${keyOf(host, path)}`

export const isPreview = (host: string, path: string, given: string | null) => given === keyOf(host, path)

import { readFileSync } from 'node:fs'
import { WrongCall } from './wrong-call'

/** A file's bytes. Throws WrongCall that names the file and why. */
export function readBytes(path: string): Uint8Array {
  try {
    return readFileSync(path)
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code
    const why =
      code === 'ENOENT' ? 'there is no such file' : code === 'EISDIR' ? 'it is a folder' : (code ?? String(error))
    throw new WrongCall(`${path} cannot be read: ${why}.`)
  }
}

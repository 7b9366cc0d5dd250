import { mkdirSync, renameSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'

/** Writes to a second file and renames it, so that a crash leaves the old one whole. */
export function writeWhole(file: string, text: string): void {
  mkdirSync(dirname(file), { recursive: true })
  writeFileSync(`${file}.new`, text)
  renameSync(`${file}.new`, file)
}

import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { assets } from '../platform/assets'
import { ScriptVersion } from './models'

/** Scripts that snippets may be pinned to: each version that was ever served from here stays. */
export const scriptVersions = {
  name: '0010-script-versions',
  sql: `CREATE TABLE script_versions (version text PRIMARY KEY, bytes bytea NOT NULL, made_at timestamptz NOT NULL DEFAULT now())`,
}

/** What a browser holds a script against: W3C Subresource Integrity, section 3.2. */
export const integrityOf = (bytes: Buffer | string) => `sha384-${createHash('sha384').update(bytes).digest('base64')}`

const versionOf = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex').slice(0, 16)

/** The script as it is served now. */
export const scriptNow = (() => {
  const bytes = readFileSync(assets.runtime)
  return { version: versionOf(bytes), integrity: integrityOf(bytes), bytes }
})()

/** A few kB each: all are at hand, so that a pinned snippet works while the database is away. */
const atHand = new Map<string, Buffer>([[scriptNow.version, scriptNow.bytes]])

/** Notes the present version for good, and takes in those before it. */
export async function keepScriptVersion(): Promise<void> {
  const { version, bytes } = scriptNow
  await ScriptVersion.findOrCreate({ where: { version }, defaults: { version, bytes } })
  for (const known of await ScriptVersion.findAll()) atHand.set(known.version, known.bytes)
}

/** The bytes of a version, also of one that a newer server has noted since; null where it was never served from here. */
export async function scriptOf(version: string): Promise<Buffer | null> {
  const bytes = atHand.get(version) ?? (await ScriptVersion.findByPk(version))?.bytes ?? null
  if (bytes) atHand.set(version, bytes)
  return bytes
}

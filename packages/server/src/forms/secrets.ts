import { createHmac, timingSafeEqual } from 'node:crypto'
import { Instance } from '../accounts/models'
import type { Config } from '../platform/config'
import { secret } from '../platform/ids'

const KEY = 'forms-secret'
let known: string | null = null

/** A secret of this installation, drawn once: what it signs is known again by every server of it. */
export async function formsSecret(): Promise<string> {
  if (known) return known
  await Instance.findOrCreate({ where: { key: KEY }, defaults: { key: KEY, value: secret() } })
  return (known = (await Instance.findByPk(KEY))!.value)
}

/** For another database in the same process. */
export const forgetFormsSecret = (): void => void (known = null)

const hmac = (key: string, text: string) => createHmac('sha256', key).update(text).digest('base64url')

/** By which an address is found again without being stored: mail servers take capitals for small letters. */
export const mailHash = (key: string, mail: string) => hmac(key, `mail ${mail.trim().toLowerCase()}`)

/**
 * What hashes of visitors' words are made with: of the key that lies outside the database, where there is one, so that whoever has the
 * database alone cannot try addresses one by one.
 */
export const hashKey = async ({ leadsKey }: Pick<Config, 'leadsKey'>): Promise<string> =>
  leadsKey ? hmac(leadsKey.toString('base64'), 'hashes of what visitors wrote') : formsSecret()

/** Both keys that hashes of an address may have been made with: those of before a key was given are found, too. */
export const hashesOf = async (config: Pick<Config, 'leadsKey'>, mail: string): Promise<string[]> => [
  ...new Set([await hashKey(config), await formsSecret()].map((key) => mailHash(key, mail))),
]

/** By which something is counted about somebody, without saying who. */
export const counterKey = (key: string, what: string, ...about: readonly string[]) =>
  `${what} ${keyedHash(key, ...about)}`

/** A short keyed hash of anything. */
export const keyedHash = (key: string, ...about: readonly unknown[]) => hmac(key, JSON.stringify(about)).slice(0, 40)

export const sign = (key: string, ...about: readonly (string | number)[]) => hmac(key, JSON.stringify(about))

export const isSigned = (key: string, signature: string, ...about: readonly (string | number)[]): boolean => {
  const [a, b] = [Buffer.from(sign(key, ...about)), Buffer.from(signature)]
  return a.length === b.length && timingSafeEqual(a, b)
}

import type { Config } from '../platform/config'
import { secret } from '../platform/ids'
import { keyedHash } from '../platform/keyed-hash'
import { Instance } from './models'

/** Its name is of the time when forms alone had use for it. */
const KEY = 'forms-secret'
let known: string | null = null

/** A secret of this installation, drawn once: what it signs is known again by every server of it. */
export async function instanceSecret(): Promise<string> {
  if (known) return known
  await Instance.findOrCreate({ where: { key: KEY }, defaults: { key: KEY, value: secret() } })
  return (known = (await Instance.findByPk(KEY))!.value)
}

/** For another database in the same process. */
export const forgetInstanceSecret = (): void => void (known = null)

/**
 * What hashes about visitors are made with: of the key that lies outside the database, where there is one, so that whoever has the
 * database alone cannot try addresses one by one.
 */
export const hashKey = async ({ leadsKey }: Pick<Config, 'leadsKey'>): Promise<string> =>
  leadsKey ? keyedHash(leadsKey.toString('base64'), 'hashes of what visitors wrote') : instanceSecret()

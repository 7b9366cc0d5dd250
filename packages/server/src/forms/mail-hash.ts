import { hashKey, instanceSecret } from '../accounts/instance-secret'
import type { Config } from '../platform/config'
import { keyedHash } from '../platform/keyed-hash'

/** By which an address is found again without being stored: mail servers take capitals for small letters. */
export const mailHash = (key: string, mail: string): string => keyedHash(key, `mail ${mail.trim().toLowerCase()}`)

/** Both keys that hashes of an address may have been made with: those of before a key was given are found, too. */
export const hashesOf = async (config: Pick<Config, 'leadsKey'>, mail: string): Promise<string[]> => [
  ...new Set([await hashKey(config), await instanceSecret()].map((key) => mailHash(key, mail))),
]

import type { Config } from '../platform/config'
import { instanceSecret } from '../accounts/instance-secret'
import { isSigned, sign } from '../platform/keyed-hash'

export const CONFIRM_PATH = '/confirm-address'

/** Where whoever gave an address says that it is theirs. The lead's id is random, and signed beside. */
export const confirmAddress = async ({ origin }: Pick<Config, 'origin'>, leadId: string): Promise<string> =>
  `${origin}${CONFIRM_PATH}/${leadId}.${sign(await instanceSecret(), 'confirm', leadId)}`

/** The lead of a token; null where we did not sign it. */
export async function leadOfToken(token: string): Promise<string | null> {
  const [, leadId, signature] = /^([0-9a-f-]{36})\.([\w-]{20,60})$/.exec(token) ?? []
  return leadId && isSigned(await instanceSecret(), signature!, 'confirm', leadId) ? leadId : null
}

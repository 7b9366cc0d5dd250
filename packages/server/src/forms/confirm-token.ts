import type { Config } from '../platform/config'
import { formsSecret, isSigned, sign } from './secrets'

export const CONFIRM_PATH = '/confirm-address'

/** Where whoever gave an address says that it is theirs. The lead's id is random, and signed beside. */
export const confirmAddress = async ({ origin }: Pick<Config, 'origin'>, leadId: string): Promise<string> =>
  `${origin}${CONFIRM_PATH}/${leadId}.${sign(await formsSecret(), 'confirm', leadId)}`

/** The lead of a token; null where we did not sign it. */
export async function leadOfToken(token: string): Promise<string | null> {
  const [, leadId, signature] = /^([0-9a-f-]{36})\.([\w-]{20,60})$/.exec(token) ?? []
  return leadId && isSigned(await formsSecret(), signature!, 'confirm', leadId) ? leadId : null
}

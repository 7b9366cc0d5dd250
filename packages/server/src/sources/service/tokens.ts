import { TokenAnswer, type ServiceName } from '@pebblestrand/core/sources'
import type { Transaction } from 'sequelize'
import type { Context } from '../../platform/context'
import { SourceAccount } from '../models'
import { asFault, jsonOf, ServiceFault } from './ask'

/** A token that is good for less than this is renewed before it is used. */
const SPARE_MS = 60_000

const GONE = {
  code: 'reconnect',
  message: 'Our leave to read this account has run out.',
  remedy: 'Connect it again on the sources screen.',
}

type Asking = Pick<Context, 'db' | 'outbound' | 'config'>

/**
 * Does work with a token of an account, or with none where nothing is connected. A token that has run out is renewed, also
 * where the service says so only when it is used. Throws a ServiceFault where the leave itself is gone.
 */
export async function withToken<T>(
  context: Asking,
  service: ServiceName,
  accountId: string | null,
  work: (token: string | null) => Promise<T>,
): Promise<T> {
  if (accountId === null) return work(null)
  const token = await goodToken(context, service, accountId)
  try {
    return await work(token)
  } catch (error) {
    if (!(error instanceof ServiceFault) || error.fault.code !== GONE.code) throw error
    return work(await goodToken(context, service, accountId, token))
  }
}

/** One at a time for an account: a token that renews counts once. `refused` was turned away though it seemed good. */
const goodToken = (
  { db, ...asking }: Asking,
  service: ServiceName,
  accountId: string,
  refused?: string,
): Promise<string> =>
  db.transaction(async (transaction: Transaction) => {
    const account = await SourceAccount.findByPk(accountId, { lock: true, transaction })
    if (!account) throw new ServiceFault(GONE)
    const isGood = account.accessToken !== refused && account.expiresAt.getTime() > Date.now() + SPARE_MS
    if (isGood) return account.accessToken
    if (!account.refreshToken) throw new ServiceFault(GONE)
    const renewed = await exchanged(asking, service, {
      grant_type: 'refresh_token',
      refresh_token: account.refreshToken,
    })
    await account.update(keptOf(renewed, account.refreshToken), { transaction })
    return renewed.access_token
  })

/** RFC 6749, sections 4.1.3 and 6: a code or a token for a token. Throws a ServiceFault. */
export async function exchanged(
  { outbound, config }: Pick<Context, 'outbound' | 'config'>,
  service: ServiceName,
  form: Record<string, string>,
): Promise<TokenAnswer> {
  const answer = await outbound
    .post(`${config.services[service]}/api/token`, new URLSearchParams(form), { accept: 'application/json' })
    .catch(asFault)
  const token = TokenAnswer.safeParse(jsonOf(answer.body))
  if (answer.status < 400 && token.success) return token.data
  // Only "invalid_grant" says that the leave is gone (section 5.2); a service that is down says nothing of it.
  if (answer.status === 400 || answer.status === 401) throw new ServiceFault(GONE)
  throw new ServiceFault({
    code: `status-${answer.status}`,
    message: `The service answers with error ${answer.status}.`,
    remedy: 'Nothing to do: it is asked again.',
  })
}

/** A token as it is kept; the refresh token stays where no new one is given (section 6). */
export const keptOf = ({ access_token, expires_in, refresh_token }: TokenAnswer, before: string | null = null) => ({
  accessToken: access_token,
  refreshToken: refresh_token ?? before,
  expiresAt: new Date(Date.now() + expires_in * 1000),
})

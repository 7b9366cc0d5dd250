import { setTimeout as sleep } from 'node:timers/promises'
import { TokenAnswer, type ServiceName } from '@pebblestrand/core/sources'
import type { Context } from '../../platform/context'
import { claimRow } from '../../platform/database/claim'
import { SourceAccount } from '../models'
import { asFault, jsonOf, ServiceFault } from './ask'

/** A token that is good for less than this is renewed before it is used. */
const SPARE_MS = 60_000

const GONE = {
  code: 'reconnect',
  message: 'Our leave to read this account has run out.',
  remedy: 'Connect it again on the sources screen.',
}

const SLOW = {
  code: 'no-token',
  message: 'The service takes long to renew our leave to read this account.',
  remedy: 'Nothing to do: it is asked again.',
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

/** Seconds for which nobody else renews the same token: longer than an answer is waited for. */
const CLAIM_SECONDS = 20
const LOOK_AGAIN_MS = 100

/**
 * A token of an account, renewed first where it has run out: by one at a time, since a token that renews counts once. Nothing is locked
 * while the service is waited for. `refused` was turned away though it seemed good.
 */
async function goodToken(
  { db, ...asking }: Asking,
  service: ServiceName,
  accountId: string,
  refused?: string,
): Promise<string> {
  for (const until = Date.now() + CLAIM_SECONDS * 1000; ; await sleep(LOOK_AGAIN_MS)) {
    const account = await SourceAccount.findByPk(accountId)
    if (!account) throw new ServiceFault(GONE)
    const isGood = account.accessToken !== refused && account.expiresAt.getTime() > Date.now() + SPARE_MS
    if (isGood) return account.accessToken
    if (!account.refreshToken) throw new ServiceFault(GONE)
    // What is seen of it decides who may renew it: after another has done so, there is another token.
    const seen = { as: 'access_token = $seen', bind: { seen: account.accessToken } }
    const claim = await claimRow(db, { table: 'source_accounts', id: accountId, ...seen, seconds: CLAIM_SECONDS })
    if (claim)
      try {
        return await renew(asking, service, account, account.refreshToken)
      } finally {
        await claim.release()
      }
    if (Date.now() > until) throw new ServiceFault(SLOW)
  }
}

async function renew(
  asking: Pick<Context, 'outbound' | 'config'>,
  service: ServiceName,
  { id, accessToken: seen }: SourceAccount,
  refreshToken: string,
): Promise<string> {
  const renewed = await exchanged(asking, service, { grant_type: 'refresh_token', refresh_token: refreshToken })
  // Connected anew meanwhile, it has another one already.
  await SourceAccount.update(keptOf(renewed, refreshToken), { where: { id, accessToken: seen } })
  return renewed.access_token
}

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

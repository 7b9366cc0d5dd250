import { createHash, randomBytes } from 'node:crypto'
import { sourceKinds } from '@pebblestrand/core/sources'
import { Op } from 'sequelize'
import type { Context } from '../../platform/context'
import { AppError } from '../../platform/errors'
import { Source, SourceAccount, SourceConsent } from '../models'
import { ServiceFault } from './ask'
import { exchanged, keptOf } from './tokens'

const CONSENT_MS = 15 * 60_000

const hashOf = (text: string) => createHash('sha256').update(text).digest('base64url')
/** Where the service sends the person back to. */
const backAt = ({ config }: Pick<Context, 'config'>) => `${config.origin}/sources/connected`

/** RFC 7636, section 4.2. */
export const challengeOf = hashOf

/** The page on which an owner lets us read an account, for one source; what comes back is good for this person, once. */
export async function consentAddress(context: Context, source: Source, userId: string): Promise<string> {
  const service = sourceKinds[source.kind]?.service
  const origin = service && context.config.services[service]
  if (!origin) throw new AppError('cannot-now', { message: 'This sort of source has no accounts.' })
  const [state, verifier] = [randomBytes(24).toString('base64url'), randomBytes(48).toString('base64url')]
  await SourceConsent.destroy({ where: { expiresAt: { [Op.lt]: new Date() } } })
  await SourceConsent.create({
    stateHash: hashOf(state),
    sourceId: source.id,
    userId,
    verifier,
    expiresAt: new Date(Date.now() + CONSENT_MS),
  })
  const page = new URL('/consent', origin)
  page.search = new URLSearchParams({
    client_id: 'Pebblestrand',
    redirect_uri: backAt(context),
    state,
    code_challenge: challengeOf(verifier),
    code_challenge_method: 'S256',
  }).toString()
  return page.href
}

/** The owner has said yes: the account is kept, and the source read by it from now on. */
export async function connected(
  context: Context,
  { state, code }: { state: string; code: string },
  userId: string,
): Promise<Source> {
  const consent = await SourceConsent.findByPk(hashOf(state))
  const isOwn = consent?.userId === userId && consent.expiresAt > new Date()
  if (!consent || !isOwn) throw new AppError('consent-lost')
  await consent.destroy()
  const asked = await Source.findByPk(consent.sourceId)
  const service = asked && sourceKinds[asked.kind]?.service
  if (!service) throw new AppError('not-found')
  const form = {
    grant_type: 'authorization_code',
    code,
    code_verifier: consent.verifier,
    redirect_uri: backAt(context),
  }
  const token = await exchanged(context, service, form).catch((error: unknown) => {
    if (error instanceof ServiceFault) throw new AppError('consent-lost', { message: error.fault.message })
    throw error
  })
  return context.db.transaction(async (transaction) => {
    const key = { kind: asked.kind, remoteId: token.account.id }
    const kept = { name: token.account.name, ...keptOf(token) }
    const [account] = await SourceAccount.findOrCreate({ where: key, defaults: { ...key, ...kept }, transaction })
    await account.update(kept, { transaction })
    const source = await Source.findByPk(consent.sourceId, { transaction })
    if (!source) throw new AppError('not-found')
    // Others that are read by the same account and had stopped go on as well.
    await Source.update({ nextFetchAt: new Date() }, { where: { accountId: account.id }, transaction })
    return source.update({ accountId: account.id, nextFetchAt: new Date() }, { transaction })
  })
}

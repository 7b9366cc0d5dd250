import { createHash } from 'node:crypto'
import { Op } from 'sequelize'
import { secret } from '../platform/ids'
import { Session, User } from './models'

/** A session ends when it is not used for so long, and at last after so long in any case. */
export const DAYS = { idle: 14, most: 30 }
const SEEN_EVERY_MS = 5 * 60_000

export const hashOf = (token: string) => createHash('sha256').update(token).digest('base64url')
const inDays = (days: number) => new Date(Date.now() + days * 86_400_000)

export interface SignedIn {
  user: User
  session: Session
}

/** Begins a session; gives the cookie's token, of which the database keeps only the hash. */
export async function begin(userId: string, browser: string): Promise<{ token: string; csrf: string }> {
  const [token, csrf] = [secret(), secret()]
  await Session.create({
    tokenHash: hashOf(token),
    userId,
    csrf,
    browser,
    expiresAt: inDays(DAYS.idle),
    endsAt: inDays(DAYS.most),
  })
  return { token, csrf }
}

const alive = () => ({ expiresAt: { [Op.gt]: new Date() }, endsAt: { [Op.gt]: new Date() } })

/** Who a cookie stands for. A session in use is kept alive, to its own end. */
export async function resume(token: string | undefined): Promise<SignedIn | null> {
  if (!token) return null
  const session = await Session.findOne({ where: { tokenHash: hashOf(token), ...alive() }, include: User })
  const user = session?.User
  if (!session || !user) return null
  if (Date.now() - session.seenAt.getTime() > SEEN_EVERY_MS)
    await session.update({ seenAt: new Date(), expiresAt: inDays(DAYS.idle) })
  return { user, session }
}

export async function end(token: string | undefined): Promise<void> {
  if (token) await Session.destroy({ where: { tokenHash: hashOf(token) } })
}

export const livingOf = (userId: string, limit: number, offset: number) =>
  Session.findAndCountAll({ where: { userId, ...alive() }, order: [['seenAt', 'DESC']], limit, offset })

/** Ends one session of a person, or all but one. Gives how many. */
export const endOne = (userId: string, id: string) => Session.destroy({ where: { userId, id } })
export const endOthers = (userId: string, but: string) => Session.destroy({ where: { userId, id: { [Op.ne]: but } } })

export const forgetExpired = () =>
  Session.destroy({ where: { [Op.or]: [{ expiresAt: { [Op.lt]: new Date() } }, { endsAt: { [Op.lt]: new Date() } }] } })

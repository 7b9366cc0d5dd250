import { createHash } from 'node:crypto'
import { Op } from 'sequelize'
import { secret } from '../platform/ids'
import { Session, User } from './models'

const DAYS = 14
export const COOKIE = 'pebblestrand_session'

const hashOf = (token: string) => createHash('sha256').update(token).digest('base64url')
const inDays = (days: number) => new Date(Date.now() + days * 86_400_000)

export interface SignedIn {
  user: User
  csrf: string
}

/** Begins a session; gives the cookie's token, of which the database keeps only the hash. */
export async function begin(userId: string): Promise<{ token: string; csrf: string }> {
  const [token, csrf] = [secret(), secret()]
  await Session.create({ tokenHash: hashOf(token), userId, csrf, expiresAt: inDays(DAYS) })
  return { token, csrf }
}

/** Who a cookie stands for. A session in use is kept alive, at most once a day. */
export async function resume(token: string | undefined): Promise<SignedIn | null> {
  if (!token) return null
  const session = await Session.findOne({ where: { tokenHash: hashOf(token), expiresAt: { [Op.gt]: new Date() } } })
  const user = session && (await User.findByPk(session.userId))
  if (!session || !user) return null
  if (session.expiresAt < inDays(DAYS - 1)) await session.update({ expiresAt: inDays(DAYS) })
  return { user, csrf: session.csrf }
}

export async function end(token: string | undefined): Promise<void> {
  if (token) await Session.destroy({ where: { tokenHash: hashOf(token) } })
}

export const forgetExpired = () => Session.destroy({ where: { expiresAt: { [Op.lt]: new Date() } } })

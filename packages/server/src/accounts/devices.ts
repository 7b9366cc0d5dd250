import { Op } from 'sequelize'
import { secret } from '../platform/ids'
import { Device, User } from './models'
import { hashOf } from './sessions'

export const DEVICE_DAYS = 180
const MOST = 20

/** The hash of a browser's token, where somebody with this address signed in with it before; null where not. */
export async function knownDevice(token: string | undefined, email: string): Promise<string | null> {
  if (!token) return null
  const user = await User.withEmail(email)
  const device = user && (await Device.findOne({ where: { tokenHash: hashOf(token), userId: user.id } }))
  return device ? device.tokenHash : null
}

/** Remembers the browser that an account was just signed in with; gives the token it is known by from now on. */
export async function rememberDevice(userId: string, token: string | undefined): Promise<string> {
  const known = token && (await Device.findOne({ where: { tokenHash: hashOf(token), userId } }))
  if (known) {
    await known.update({ usedAt: new Date() })
    return token
  }
  const fresh = secret()
  await Device.create({ tokenHash: hashOf(fresh), userId })
  const old = await Device.findAll({ where: { userId }, order: [['usedAt', 'DESC']], offset: MOST, limit: MOST })
  if (old.length) await Device.destroy({ where: { tokenHash: old.map((device) => device.tokenHash) } })
  return fresh
}

export const forgetOldDevices = () =>
  Device.destroy({ where: { usedAt: { [Op.lt]: new Date(Date.now() - DEVICE_DAYS * 86_400_000) } } })

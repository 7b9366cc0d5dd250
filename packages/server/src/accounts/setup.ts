import { timingSafeEqual } from 'node:crypto'
import type { Sequelize, Transaction } from 'sequelize'
import { record } from '../activity/record'
import { AppError } from '../platform/errors'
import { secret } from '../platform/ids'
import { Instance, User } from './models'
import { requireHardToGuess } from './easily-guessed'
import { hashPassword } from './password'

const KEY = 'setup-key'
export const AGENCY = 'agency'

/** The key that makes whoever holds the server its owner; printed where it is started, gone once used. Null when there is an owner. */
export async function setupKey(): Promise<string | null> {
  if (await User.count()) return null
  await Instance.findOrCreate({ where: { key: KEY }, defaults: { key: KEY, value: secret().slice(0, 16) } })
  return (await Instance.findByPk(KEY))!.value
}

export async function agencyName(transaction?: Transaction): Promise<string> {
  return (await Instance.findByPk(AGENCY, { transaction }))?.value ?? 'Your agency'
}

export interface Owner {
  key: string
  agency: string
  name: string
  email: string
  password: string
}

/** Makes the first account. Two at once: the first wins, the second is told. */
export async function setUpOwner(db: Sequelize, owner: Owner): Promise<User> {
  const wanted = await setupKey()
  if (wanted === null) throw new AppError('setup-done')
  const [a, b] = [Buffer.from(owner.key.trim()), Buffer.from(wanted)]
  if (a.length !== b.length || !timingSafeEqual(a, b))
    throw new AppError('setup-key-wrong', { issues: [{ field: 'key', message: 'is not the printed one' }] })
  await requireHardToGuess(owner.password, 'password', [owner.name, owner.email, owner.agency])
  const passwordHash = await hashPassword(owner.password)
  return db.transaction(async (transaction) => {
    await db.query('LOCK TABLE users IN EXCLUSIVE MODE', { transaction })
    if (await User.count({ transaction })) throw new AppError('setup-done')
    const user = await User.create(
      { email: owner.email, name: owner.name, role: 'owner', passwordHash },
      { transaction },
    )
    await Instance.upsert({ key: AGENCY, value: owner.agency }, { transaction })
    await Instance.destroy({ where: { key: KEY }, transaction })
    await record('set-up', { userId: user.id }, transaction)
    return user
  })
}

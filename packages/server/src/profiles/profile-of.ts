import { PlatformProfile, profileList, profiles } from '@pebblestrand/core/platforms'
import type { Transaction } from 'sequelize'
import { AppError } from '../platform/errors'
import { OwnProfile } from './models'

/** What stands in for a profile that is gone, or that an older version wrote. */
const fallback = profileList[0]!

/** The profiles that sites name: those that ship, and the agency's own. */
export async function profilesOf(
  keys: readonly string[],
  transaction?: Transaction,
): Promise<(key: string) => PlatformProfile> {
  const asked = [...new Set(keys)].filter((key) => !profiles[key])
  const own = asked.length ? await OwnProfile.findAll({ where: { key: asked }, transaction }) : []
  const byKey = new Map(own.map((one) => [one.key, asNow(one) ?? profiles[one.copiedFrom]]))
  return (key) => profiles[key] ?? byKey.get(key) ?? fallback
}

/** The profile that a site names. */
export const profileOf = async (key: string, transaction?: Transaction): Promise<PlatformProfile> =>
  (await profilesOf([key], transaction))(key)

/** Names by key, for lists of sites. */
export async function platformNames(): Promise<(key: string) => string> {
  const own = await OwnProfile.findAll({ attributes: ['key', 'profile'] })
  const names = new Map(own.map(({ key, profile }) => [key, profile.name]))
  return (key) => names.get(key) ?? profiles[key]?.name ?? key
}

/** A site may be built with what ships, with the agency's own for all, and with its own. */
export async function requirePlatform(key: string, siteId: string | null): Promise<void> {
  if (profiles[key]) return
  const own = await OwnProfile.findOne({ where: { key } })
  const fits = own && (own.siteId === null || own.siteId === siteId)
  if (!fits)
    throw new AppError('invalid', {
      issues: [
        { field: 'platform', message: `must be one of ${profileList.map(({ id }) => id).join(', ')}, or your own` },
      ],
    })
}

/** As this version has profiles; null where it does not fit any more. */
export function asNow({ profile, key }: OwnProfile): PlatformProfile | null {
  const read = PlatformProfile.safeParse(profile)
  return read.success ? { ...read.data, id: key } : null
}

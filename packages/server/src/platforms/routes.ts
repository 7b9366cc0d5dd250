import { routes } from '@pebblestrand/contract'
import { PlatformProfile, profileList, profiles } from '@pebblestrand/core/platforms'
import { QueryTypes, type Sequelize } from 'sequelize'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import type { Serve } from '../platform/http/serve'
import { publicId } from '../platform/ids'
import { Site } from '../sites/models'
import { OwnProfile } from '../profiles/models'
import { asNow, profileOf } from '../profiles/profile-of'

const standing = `SELECT platform AS key, count(*)::int AS sites FROM sites GROUP BY 1`

export function platformRoutes(serve: Serve, { db }: Context): void {
  const { platforms } = routes

  serve(platforms.list, async ({ query }) => {
    const counts = await countsOf(db)
    const own = await OwnProfile.findAll({ order: [['madeAt', 'ASC']], limit: 500 })
    const fitting = own.filter(({ siteId }) => !query.siteId || siteId === null || siteId === query.siteId)
    return {
      rows: [
        ...profileList.map((profile) => rowOf(profile, null, counts)),
        ...(await Promise.all(fitting.map(async (one) => rowOf(await profileOf(one.key), await ownOf(one), counts)))),
      ],
    }
  })

  serve(platforms.read, ({ params }) => describe(db, params.key))

  serve(platforms.copy, async ({ body: { from, name, siteId = null }, userId }) => {
    const profile = await existing(from)
    await requireSite(siteId)
    return keep({ ...profile, name }, await shippedBehind(from), siteId, userId)
  })

  serve(platforms.change, async ({ params, body: { profile, siteId } }) => {
    const own = await ownBy(params.key)
    if (siteId !== undefined) await requireSite(siteId)
    await own.update({ profile: { ...profile, id: own.key }, ...(siteId === undefined ? {} : { siteId }) })
    return describe(db, own.key)
  })

  serve(platforms.drop, async ({ params }) => {
    const own = await ownBy(params.key)
    await db.transaction(async (transaction) => {
      await Site.update({ platform: own.copiedFrom }, { where: { platform: own.key }, transaction })
      await own.destroy({ transaction })
    })
    return { done: true as const }
  })

  serve(platforms.file, async ({ params, reply }) => {
    const profile = await existing(params.key)
    return reply
      .header('content-type', 'application/json; charset=utf-8')
      .header('content-disposition', `attachment; filename="${profile.id}.platform.json"`)
      .send(`${JSON.stringify(profile, null, 2)}\n`)
  })

  serve(platforms.bring, async ({ body: { text, siteId = null }, userId }) => {
    const profile = readFile(text)
    await requireSite(siteId)
    return keep(profile, profiles[profile.id] ? profile.id : profileList[0]!.id, siteId, userId)
  })
}

async function countsOf(db: Sequelize): Promise<Map<string, number>> {
  const rows = await db.query<{ key: string; sites: number }>(standing, { type: QueryTypes.SELECT })
  return new Map(rows.map(({ key, sites }) => [key, sites]))
}

const rowOf = (
  profile: PlatformProfile,
  own: Awaited<ReturnType<typeof ownOf>> | null,
  counts: Map<string, number>,
) => ({
  id: profile.id,
  name: profile.name,
  own,
  sites: counts.get(profile.id) ?? 0,
  words: profile.words,
})

async function ownOf({ copiedFrom, siteId }: OwnProfile) {
  const site = siteId ? await Site.findByPk(siteId, { attributes: ['name'] }) : null
  return { from: profiles[copiedFrom]?.name ?? copiedFrom, siteId, site: site?.name ?? null }
}

async function describe(db: Sequelize, key: string) {
  const profile = await existing(key)
  const own = await OwnProfile.findOne({ where: { key } })
  return { ...rowOf(profile, own && (await ownOf(own)), await countsOf(db)), profile }
}

async function existing(key: string): Promise<PlatformProfile> {
  const own = profiles[key] ? null : await ownBy(key)
  return own ? (asNow(own) ?? profileOf(key)) : profiles[key]!
}

async function ownBy(key: string): Promise<OwnProfile> {
  if (profiles[key])
    throw new AppError('cannot-now', { message: 'What ships stays as it is. Copy it, and change the copy.' })
  const own = await OwnProfile.findOne({ where: { key } })
  if (!own) throw new AppError('not-found')
  return own
}

async function shippedBehind(key: string): Promise<string> {
  return profiles[key] ? key : (await ownBy(key)).copiedFrom
}

async function requireSite(siteId: string | null): Promise<void> {
  if (siteId && !(await Site.count({ where: { id: siteId } }))) throw new AppError('not-found')
}

async function keep(profile: PlatformProfile, copiedFrom: string, siteId: string | null, userId: string) {
  const key = `own-${publicId().toLowerCase()}`
  await OwnProfile.create({ key, copiedFrom, profile: { ...profile, id: key }, siteId, madeBy: userId })
  return { key }
}

/** A profile's file; what is wrong with it is said by the field. */
function readFile(text: string): PlatformProfile {
  const wrong = (message: string) =>
    new AppError('invalid', { message: `text: ${message}`, issues: [{ field: 'text', message }] })
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    throw wrong('is not JSON: choose a file that was saved as a platform profile')
  }
  const read = PlatformProfile.safeParse(json)
  if (read.success) return read.data
  const [first] = read.error.issues
  throw wrong(`is no platform profile: ${first!.path.join('.') || 'the file'} ${first!.message}`)
}

import { request } from 'undici'
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import { Person, startTestSystem, type TestSystem } from '../../testing/system'
import { ItemRow, Source } from '../models'
import { refreshSource } from '../refresh'

// Against the stand-in of a photo service: everything over HTTP, as with a real one.

let system: TestSystem
let ada: Person
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
})
afterAll(() => system.stop())

const at = (path: string) => system.standins('isle-frames', path)
const post = async (path: string, body: string | URLSearchParams, type = 'application/x-www-form-urlencoded') => {
  const { host, port } = new URL(at(path))
  const answer = await request(`http://127.0.0.1:${port}${path}`, {
    method: 'POST',
    headers: { host, 'content-type': type },
    body: body.toString(),
  })
  await answer.body.dump()
  expect(answer.statusCode).toBeLessThan(400)
  return String(answer.headers.location)
}
const trouble = (body: object) => post('/standins/frames', JSON.stringify(body), 'application/json')
const own = (handle: string, form: Record<string, string>) => post(`/own/${handle}`, new URLSearchParams(form))
afterEach(() => trouble({ outage: false, quota: { requests: 500, seconds: 10 } }))

interface Found {
  url: string
  title: string
  address: string
  count: number
  newest: { title: string }[]
}
const find = (address: string) => ada.post('/api/sources/find', { address, gives: ['post'] })
const found = async (address: string) => ((await find(address)).body as { found: Found[] }).found
const add = async (path: string) =>
  ((await ada.post('/api/sources', { kind: 'photo-service', url: at(path) })).body as { id: string }).id
const refreshed = async (id: string) => {
  await refreshSource(system.context, id)
  return (await Source.findByPk(id))!
}
const kept = (sourceId: string) => ItemRow.count({ where: { sourceId } })

describe('finding', () => {
  it.each([
    ['a profile’s address', () => at('/@orrin.kiln')],
    ['a handle', () => 'orrin.kiln'],
    ['a handle with its sign', () => '@orrin.kiln'],
    ['an embed code', () => `<blockquote data-frames="orrin.kiln"><a href="${at('/@orrin.kiln')}">x</a></blockquote>`],
    ['a post’s address', () => at('/p/orrinkiln003')],
    ['the handle it had before', () => 'orrin.pottery'],
    ['words', () => 'kiln pottery'],
  ])('by %s', async (_, pasted) => {
    const [profile] = await found(pasted())
    expect(profile).toMatchObject({
      url: at('/@orrin.kiln'),
      title: 'Orrin Kiln Pottery',
      address: '@orrin.kiln',
      count: 44,
    })
    expect(profile!.newest[0]!.title).toMatch(/^Out of the kiln this morning/)
  })
  it('offers the posts that name a profile beside its own, and the other way round', async () => {
    expect((await found('gullhaven.ferries')).map(({ title, count }) => [title, count])).toEqual([
      ['Gullhaven Ferries', 36],
      ['Posts that name Gullhaven Ferries', expect.any(Number)],
    ])
    expect((await found(at('/@gullhaven.ferries/named')))[0]!.title).toBe('Posts that name Gullhaven Ferries')
  })
  it('a tag, whoever the posts are of', async () => {
    const [tag] = await found('#skerrow')
    expect(tag).toMatchObject({ title: '#skerrow', url: at('/tagged/skerrow') })
    expect(tag!.count).toBeGreaterThan(20)
  })
  it('a private one can be taken, and says what comes then', async () =>
    expect((await found('ninefold.choir'))[0]).toMatchObject({
      title: 'Ninefold Choir',
      address: expect.stringContaining('private') as string,
      newest: [],
    }))
  it('says so when there is none, when it is closed, and when the service is down', async () => {
    expect(await find('nobody.here')).toMatchObject({ status: 422, body: { error: { code: 'no-profile' } } })
    expect(await find('old.harbour')).toMatchObject({
      status: 422,
      body: { error: { code: 'no-profile', message: 'The profile is closed.' } },
    })
    await trouble({ outage: true })
    expect(await find('orrin.kiln')).toMatchObject({ status: 422, body: { error: { code: 'fetch-failed' } } })
  })
})

describe('reading', () => {
  it('a profile: who it is, and its posts with pictures, tags and numbers', async () => {
    const id = await add('/@windle.knot')
    expect((await ada.get(`/api/sources/${id}`)).body).toMatchObject({
      title: 'Windle Knot Museum',
      count: 20,
      connects: true,
      profile: { handle: 'windle.knot', counts: { posts: 20, followers: 1320, following: 40 } },
      picture: { url: expect.stringContaining('/drawn/') as string },
    })
    const row = (await ItemRow.findOne({ where: { sourceId: id }, order: [['publishedAt', 'DESC']] }))!
    expect(row.labels).toEqual(['knots'])
    expect(row.body).toMatchObject({ type: 'post', isClip: false, likes: expect.any(Number) as number })
  })
  it('a new post comes, one taken out goes; the loud one is read as far as is kept', async () => {
    const id = await add('/@pollard.cycles')
    await own('pollard.cycles', { what: 'post', caption: 'Just now. #wheelbuilding', scene: 'wheel' })
    expect((await refreshed(id)).problem).toBeNull()
    const row = (await ItemRow.findOne({ where: { sourceId: id }, order: [['publishedAt', 'DESC']] }))!
    expect(row.body).toMatchObject({ text: 'Just now. #wheelbuilding' })
    await own('pollard.cycles', { what: 'delete', post: row.key })
    await refreshed(id)
    expect(await kept(id)).toBe(18)
    expect(await kept(await add('/@isles.every.hour'))).toBe(240)
  })
  it('follows a profile that takes another handle, and keeps the last good copy of one that closes', async () => {
    const id = await add('/@brackenfold')
    await own('brackenfold', { what: 'rename', handle: 'brackenfold.cider' })
    expect(await refreshed(id)).toMatchObject({ problem: null, facts: { profile: { handle: 'brackenfold.cider' } } })
    await own('brackenfold.cider', { what: 'close' })
    expect((await refreshed(id)).problem).toMatchObject({ code: 'gone' })
    expect(await kept(id)).toBe(30)
  })
  it('a private one is there at once, and read once its account is connected; a token that ran out is renewed', async () => {
    const id = await add('/@ninefold.choir')
    expect((await Source.findByPk(id))!.problem).toMatchObject({ code: 'private' })
    const { address } = (await ada.post(`/api/sources/${id}/connect`, {})).body as { address: string }
    const form = Object.fromEntries(new URL(address).searchParams)
    const back = new URL(
      await post('/consent', new URLSearchParams({ ...form, account: 'choir-office', what: 'allow' })),
    )
    const { state, code } = Object.fromEntries(back.searchParams)
    expect((await ada.post('/api/sources/connected', { state, code })).body).toMatchObject({
      account: 'Ninefold Choir',
      count: 16,
      problem: null,
    })
    await trouble({ tokens: 'expired' })
    expect((await refreshed(id)).problem).toBeNull()
    await trouble({ tokens: 'all gone' })
    expect((await refreshed(id)).problem).toMatchObject({ code: 'reconnect' })
    expect(await kept(id)).toBe(16)
  })
})

import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import type { SheetInfo } from '@pebblestrand/contract'
import { Activity } from '../activity/models'
import { Install } from '../installs/models'
import { pasteAt, planned, publishedWidget, setScene, type Scene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { story } from '../testing/story'
import { Sheet, SheetVisits } from '../sheets/models'

let system: TestSystem
let ada: Person
let scene: Scene
let first: Install
let second: Install
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  // Other tests paste into other pages of the simulated sites at the same time.
  scene = await setScene(system, ada, 'brackenfold', '/tastings')
  first = await planned(ada, scene, 'sidebar')
  second = await planned(ada, scene, 'footer', await publishedWidget(ada, 'Regatta news', scene.sourceId))
  await system.work()
})
afterAll(() => system.stop())

const BROWSER = { 'user-agent': 'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 Chrome/150 Safari/537.36' }

/** As somebody without an account would open it, or press a button on it. */
const open = (address: string, headers: Record<string, string> = BROWSER) =>
  system.app.inject({ url: new URL(address).pathname, headers })
const press = (address: string, install: Install, name: string, form: Record<string, string> = {}) =>
  system.app.inject({
    method: 'POST',
    url: `${new URL(address).pathname}/${install.publicId}/${name}`,
    headers: { ...BROWSER, 'content-type': 'application/x-www-form-urlencoded' },
    payload: new URLSearchParams(form).toString(),
  })
async function make(body: object): Promise<SheetInfo> {
  const answer = await ada.post('/api/sheets', { purpose: 'paste', scope: 'install', id: first.id, ...body })
  expect(answer.status, JSON.stringify(answer.body)).toBe(200)
  const { id } = answer.body as { id: string }
  const { rows } = (await ada.get(`/api/sheets?siteId=${scene.siteId}`)).body as { rows: SheetInfo[] }
  return rows.find((one) => one.id === id)!
}
const status = async (install: Install) => (await Install.findByPk(install.id))!.status
const snippetOf = async (install: Install) => {
  const { method, snippets } = (await ada.get(`/api/installs/${install.id}`)).body as {
    method: string
    snippets: Record<string, string>
  }
  return snippets[method]!
}

story('a sheet for whoever pastes', (step) => {
  let sheet: SheetInfo
  step('is handed over: the install says so, and the record has the very text', async () => {
    expect((await ada.get(`/api/installs/${first.id}/open`)).body).toEqual({
      purpose: 'paste',
      install: 1,
      page: 2,
      site: 2,
    })
    sheet = await make({ scope: 'page', id: scene.pageId, toName: 'Isla', message: 'Before Friday, please.' })
    expect(await status(first)).toBe('handed-over')
    expect(sheet.installs.map(({ snippet }) => snippet)).toContain(await snippetOf(first))
    const { timeLine } = (await ada.get(`/api/installs/${first.id}`)).body as {
      timeLine: { verb: string; data: object }[]
    }
    expect(timeLine[0]).toMatchObject({ verb: 'handed-over', data: { to: 'Isla', way: 'link' } })
  })
  step(
    'shows what is asked for and nothing else of the agency’s, in a page without a session that no frame can hold',
    async () => {
      const { body, headers, statusCode } = await open(sheet.address)
      expect(statusCode).toBe(200)
      for (const said of [
        'Isla',
        'Harbour news',
        'Regatta news',
        'Before Friday, please.',
        'The page',
        'in its side column',
      ])
        expect(body).toContain(said)
      expect(headers['set-cookie']).toBeUndefined()
      expect(headers).toMatchObject({
        'x-frame-options': 'DENY',
        'referrer-policy': 'no-referrer',
        'cache-control': 'no-store',
        'content-security-policy': expect.stringContaining("frame-ancestors 'none'") as string,
      })
      expect(body).not.toContain(ada.email)
      expect(body).not.toContain(first.id)
    },
  )
  step('is looked at when it is said to be done: step by step until it is confirmed', async () => {
    const snippet = await snippetOf(first)
    expect((await press(sheet.address, first, 'done')).headers.location).toBe(
      `${new URL(sheet.address).pathname}?then#i-${first.publicId}`,
    )
    expect((await open(sheet.address)).body).toContain('Looking at the page')
    await system.work()
    expect((await open(sheet.address)).body).toMatch(/It is not on the page yet|Visitors still get the page as it was/)
    await pasteAt('brackenfold', '/tastings', { 'sidebar.visual': snippet })
    await press(sheet.address, first, 'done')
    await system.work()
    const wrong = (await open(sheet.address)).body
    expect(wrong).toContain('Visitors can read its code.')
    await pasteAt('brackenfold', '/tastings', { 'sidebar.visual': '', 'sidebar.code': snippet })
    await press(sheet.address, first, 'done')
    // The look ends while the sheet is being put together: nobody is told again what the one before it found.
    const read = Install.findAll.bind(Install)
    const meanwhile = vi.spyOn(Install, 'findAll').mockImplementation(async (options) => {
      const before = await read(options)
      if (options?.include) {
        meanwhile.mockRestore()
        await system.work()
      }
      return before
    })
    const between = (await open(sheet.address)).body
    expect(between).toContain('Looking at the page')
    expect(between).not.toContain('Visitors can read its code.')
    const { body } = await open(sheet.address)
    expect(body).toContain('It is there, and visitors see it. Nothing is left to do.')
    expect(body).toContain('1 of 2 finished')
    expect(await status(first)).toBe('confirmed')
    const { check } = (await ada.get(`/api/installs/${first.id}`)).body as {
      check: { facts: { notes: { code: string; says: string }[] } }
    }
    expect(check.facts.notes.find(({ code }) => code === 'handed-text')!.says).toMatch(
      /^It is the very text that was handed to Isla \(\d+ \w+ 20\d\d\)\.$/,
    )
    expect(await status(second)).toBe('handed-over')
  })
  step('keeps what was ticked, and hears that something did not work', async () => {
    const { steps } = (await ada.get(`/api/installs/${second.id}`)).body as { steps: { id: string }[] }
    await press(sheet.address, second, 'steps', { step: steps[0]!.id })
    expect((await open(sheet.address)).body).toContain(`value="${steps[0]!.id}" checked`)
    await press(sheet.address, second, 'trouble', { note: 'There is no <b>box</b> in the footer.' })
    const { body } = await open(sheet.address)
    expect(body).toContain('has been told')
    const [said] = ((await ada.get(`/api/sheets?installId=${second.id}`)).body as { rows: SheetInfo[] }).rows
    expect(said!.installs.find(({ id }) => id === second.id)!.trouble).toBe('There is no <b>box</b> in the footer.')
    const { waiting } = (await ada.get('/api/today')).body as { waiting: { id: string; handed: object | null }[] }
    expect(waiting.find(({ id }) => id === second.id)!.handed).toMatchObject({
      to: 'Isla',
      trouble: 'There is no <b>box</b> in the footer.',
    })
  })
  step('counts who opened it by day, and not what follows it or looks ahead', async () => {
    const before = (await SheetVisits.findAll({ where: { sheetId: sheet.id } })).reduce(
      (sum, { visits }) => sum + visits,
      0,
    )
    await open(sheet.address, { ...BROWSER, 'x-sheet-follow': '1' })
    await system.app.inject({
      url: (await press(sheet.address, second, 'steps')).headers.location as string,
      headers: BROWSER,
    })
    await open(sheet.address, { 'user-agent': 'Mozilla/5.0 (compatible; LinkChecker/1.0; bot)' })
    await open(sheet.address)
    const [today] = await SheetVisits.findAll({ where: { sheetId: sheet.id } })
    expect(today!.visits).toBe(before + 1)
  })
  step('is in the language of whoever gets it', async () => {
    const polish = await make({ id: second.id, language: 'pl-PL' })
    expect((await open(polish.address)).body).toContain('<html lang="pl-PL" dir="ltr">')
    const arabic = await make({ id: second.id, language: 'ar' })
    expect((await open(arabic.address)).body).toContain('dir="rtl"')
  })
  step('can be had as a file', async () => {
    for (const [form, type] of [
      ['txt', 'text/plain'],
      ['md', 'text/markdown'],
      ['html', 'text/html'],
    ]) {
      const file = await ada.get(`/api/installs/${second.id}/sheet-file?form=${form}`)
      expect(file.headers['content-type']).toContain(type)
      expect(file.headers['content-disposition']).toContain('attachment')
      expect(String(file.body)).toContain('Regatta news')
    }
  })
  step('for what is to be taken out is finished when a check proved it gone', async () => {
    expect((await open(sheet.address)).body).toContain(`i-${first.publicId}`)
    await ada.post(`/api/installs/${first.id}/retire`)
    await system.work()
    // Nobody is asked any more to paste what is to go.
    const left = (await open(sheet.address)).body
    expect(left).not.toContain(`i-${first.publicId}`)
    expect(left).toContain(`i-${second.publicId}`)
    const out = await make({ purpose: 'remove', id: first.id })
    expect(out.address).toContain('/take-out/')
    expect((await open(out.address)).body).toContain('The text to take out')
    await press(out.address, first, 'done')
    await system.work()
    expect((await open(out.address)).body).toContain('It is still on the page.')
    await pasteAt('brackenfold', '/tastings', { 'sidebar.code': '' })
    await press(out.address, first, 'done')
    await system.work()
    expect((await open(out.address)).body).toContain('It is gone from the page.')
    expect(await status(first)).toBe('retired')
  })
  step('may write to the agency twenty times an hour, and no more', async () => {
    const { id } = (
      await ada.post('/api/sheets', { purpose: 'paste', scope: 'install', id: second.id, toName: 'Isla' })
    ).body as { id: string }
    const { rows } = (await ada.get(`/api/sheets?installId=${second.id}`)).body as { rows: SheetInfo[] }
    const { address } = rows.find((one) => one.id === id)!
    const before = await Activity.count({ where: { verb: 'trouble' } })
    const codes = []
    for (let n = 0; n < 25; n++)
      codes.push((await press(address, second, 'trouble', { note: `No ${n}\0 \ud800` })).statusCode)
    expect([codes[0], codes[19], codes[20], codes[24]]).toEqual([303, 303, 429, 429])
    expect((await Activity.count({ where: { verb: 'trouble' } })) - before).toBe(20)
    await ada.delete(`/api/sheets/${id}`)
  })
})

describe('a private link', () => {
  it('to what nobody wants pasted any more is shut', async () => {
    const third = await planned(ada, scene, 'main', await publishedWidget(ada, 'Cider news', scene.sourceId))
    const own = await make({ id: third.id })
    expect((await open(own.address)).statusCode).toBe(200)
    await ada.post(`/api/installs/${third.id}/retire`)
    expect((await open(own.address)).statusCode).toBe(404)
    expect((await press(own.address, third, 'done')).headers.location).toContain('?then')
    expect(await status(third)).not.toBe('pasted')
  })
  it('that is wrong, has ended or was taken back says so, alike, and tells nothing', async () => {
    const ended = await make({ id: second.id })
    await Sheet.update({ endsAt: new Date(Date.now() - 1000) }, { where: { id: ended.id } })
    const withdrawn = await make({ id: second.id })
    await ada.delete(`/api/sheets/${withdrawn.id}`)
    const wrong = ended.address.slice(0, -3) + 'zzz'
    const answers = await Promise.all([ended.address, withdrawn.address, wrong].map((one) => open(one)))
    expect(answers.map(({ statusCode }) => statusCode)).toEqual([404, 404, 404])
    expect(new Set(answers.map(({ body }) => body)).size).toBe(1)
    expect(answers[0]!.body).not.toMatch(/Regatta|brackenfold/i)
    expect((await press(ended.address, second, 'done')).statusCode).toBe(404)
  })
  it('opens nothing of another sheet', async () => {
    const own = await make({ id: second.id })
    expect((await press(own.address, first, 'trouble', { note: 'x' })).statusCode).toBe(404)
    expect((await open(own.address.replace('/paste/', '/take-out/'))).statusCode).toBe(404)
    expect((await open(own.address.replace('/paste/', '/kept/'))).statusCode).toBe(404)
  })
  it('of a client shows what stands on their site, and only that', async () => {
    const kept = await make({ purpose: 'kept', scope: 'site', id: scene.siteId })
    expect((await open(kept.address)).body).toContain('Nothing stands there at the moment.')
    const stands = await planned(ada, scene, 'main', await publishedWidget(ada, 'Orchard news', scene.sourceId))
    await system.work()
    await pasteAt('brackenfold', '/tastings', { 'main.code': await snippetOf(stands) })
    await ada.post(`/api/installs/${stands.id}/checks`)
    await system.work()
    const { body } = await open(kept.address)
    expect(body).toContain('Orchard news')
    expect(body).toMatch(/since .*last seen/s)
    expect(body).not.toMatch(/<form|<button/)
  })
  it('cannot be guessed at: who tries many is held up, and the right one with them', async () => {
    const ip = { 'x-forwarded-for': '' }
    const guess = (i: number) =>
      system.app.inject({ url: `/paste/${'A'.repeat(24)}${i}`, headers: ip, remoteAddress: '203.0.113.9' })
    const codes = []
    for (let i = 0; i < 33; i++) codes.push((await guess(i)).statusCode)
    expect(codes.slice(0, 29)).toEqual(Array(29).fill(404))
    expect(codes.at(-1)).toBe(429)
    expect((await open((await make({ purpose: 'kept', scope: 'site', id: scene.siteId })).address)).statusCode).toBe(
      200,
    )
  })
  it('wants what it is for', async () => {
    const none = await ada.post('/api/sheets', { purpose: 'remove', scope: 'install', id: second.id })
    expect(none.body).toMatchObject({ error: { issues: [{ field: 'scope' }] } })
    const nobody = await ada.post('/api/sheets', { purpose: 'paste', scope: 'site', id: scene.siteId, mail: true })
    expect(nobody.body).toMatchObject({ error: { issues: [{ field: 'toMail' }] } })
  })
})

describe('people of a client', () => {
  it('are noted with what they are for, who pastes there first', async () => {
    const add = (body: object) =>
      ada.post(`/api/sites/${scene.siteId}/contacts`, {
        name: 'Isla',
        email: '',
        roles: [],
        language: null,
        siteIds: [],
        ...body,
      })
    const { id } = (
      await add({ name: 'Zara', email: 'zara@brackenfold.example', roles: ['pastes'], language: 'de-DE' })
    ).body as { id: string }
    await add({ name: 'Anton', roles: ['pays'] })
    const list = async () =>
      ((await ada.get(`/api/sites/${scene.siteId}/contacts`)).body as { rows: { name: string }[] }).rows
    expect((await list()).map(({ name }) => name)).toEqual(['Zara', 'Anton'])
    expect((await add({ email: 'nonsense' })).body).toMatchObject({ error: { issues: [{ field: 'email' }] } })
    expect((await add({ siteIds: [scene.pageId] })).body).toMatchObject({ error: { issues: [{ field: 'siteIds' }] } })
    const sheet = await make({ purpose: 'kept', scope: 'site', id: scene.siteId, contactId: id })
    expect(sheet).toMatchObject({ toName: 'Zara', toMail: 'zara@brackenfold.example', language: 'de-DE' })
    await ada.delete(`/api/contacts/${id}`)
    expect((await list()).map(({ name }) => name)).toEqual(['Anton'])
    expect((await open(sheet.address)).statusCode).toBe(200)
  })
})

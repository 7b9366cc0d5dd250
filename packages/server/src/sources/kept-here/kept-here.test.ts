import type { ReadFile } from '@pebblestrand/contract'
import { readTable } from '@pebblestrand/core/sources/review-file'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { Person, startTestSystem, type TestSystem } from '../../testing/system'
import { story } from '../../testing/story'
import { ItemRow } from '../models'

let system: TestSystem
let ada: Person
let id: string
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  id = ((await ada.post('/api/sources/kept', { title: 'The guest book' })).body as { id: string }).id
})
afterAll(() => system.stop())

const file = (body: object) => ada.post(`/api/sources/${id}/file`, body)
const read = async (body: object) => (await file(body)).body as ReadFile
const kept = () => ItemRow.findAll({ where: { sourceId: id }, order: [['publishedAt', 'ASC']] })
const typed = (more: object) => ({
  key: null,
  author: '',
  date: '',
  rating: null,
  title: '',
  text: '',
  reply: '',
  language: '',
  ...more,
})
const put = (more: object) => ada.call('PUT', `/api/sources/${id}/entries`, typed(more))

const FAULTY =
  'Who;Marks;Day;Said\nAda;5;1.3.2026;Good\nBo;seven;2.3.2026;Fine\nCy;4;31.4.2026;Hm\nDi;;4.3.2026;\nEd;3;5.3.2026;"Fine; really"'

story('a source that is kept here', (step) => {
  step('a file with three faulty rows: each is told, nothing is kept, until they are left out on purpose', async () => {
    const guessed = await read({ text: FAULTY })
    expect(guessed.reading.columns).toMatchObject({ rating: 1, date: 2 })
    const reading = { ...guessed.reading, columns: { author: 0, rating: 1, date: 2, text: 3 } }
    const asked = await read({ text: FAULTY, reading, keep: 'if all are right' })
    expect(asked).toMatchObject({ rows: 5, faulty: 3, added: 2, kept: false, known: 'asked' })
    expect(asked.faults.map(({ line, column, shown }) => [line, column, shown])).toEqual([
      [3, 'Marks', 'seven'],
      [4, 'Day', '31.4.2026'],
      [5, 'Said', ''],
    ])
    expect(await kept()).toEqual([])
    expect(await read({ text: FAULTY, reading, keep: 'those that are right' })).toMatchObject({ kept: true, added: 2 })
    expect((await kept()).map(({ author }) => author)).toEqual(['Ada', 'Ed'])
  })
  step('how it was read is kept for files with the same columns; a later one updates by author and day', async () => {
    const later = FAULTY.replace('Good', 'Very good')
      .replace('seven', '2')
      .replace('31.4', '30.4')
      .replace('Di;;', 'Di;1;')
    const again = await read({ text: later, keep: 'if all are right' })
    expect(again).toMatchObject({ known: 'kept', faulty: 0, added: 3, changed: 1, same: 1, kept: true })
    expect((await kept()).map(({ author, body }) => [author, body.text])).toEqual([
      ['Ada', 'Very good'],
      ['Bo', 'Fine'],
      ['Di', ''],
      ['Ed', 'Fine; really'],
      ['Cy', 'Hm'],
    ])
  })
  step('typed, corrected, taken out and put back by hand', async () => {
    const { key } = (await put({ author: 'Nan Reed', date: '2026-02-01', rating: 5, text: 'On paper, in pencil.' }))
      .body as {
      key: string
    }
    expect(
      await put({ key, author: 'Nan Reed', date: '2026-02-01', rating: 4, text: 'On paper.', reply: 'Thank you.' }),
    ).toMatchObject({
      status: 200,
      body: { key, body: { rating: 4, text: 'On paper.', reply: { text: 'Thank you.' } } },
    })
    expect((await ada.post(`/api/sources/${id}/entries/drop`, { key })).body).toMatchObject({ key, author: 'Nan Reed' })
    expect(await ada.post(`/api/sources/${id}/entries/drop`, { key })).toMatchObject({ status: 404 })
    expect((await put({ key, author: 'Nan Reed', date: '2026-02-01', text: 'On paper.' })).body).toMatchObject({ key })
    expect(await kept()).toHaveLength(6)
  })
  step('goes out as CSV and comes back the same', async () => {
    await put({ author: '=HYPERLINK("x")', date: '2026-05-01', text: 'A "quoted", long\nline' })
    const saved = await ada.get(`/api/sources/${id}/reviews.csv`)
    expect(saved.headers['content-type']).toContain('text/csv')
    const { heads, rows } = readTable(saved.body as string)
    expect(heads.slice(0, 4)).toEqual(['id', 'date', 'author', 'rating'])
    expect(rows.map(({ cells }) => cells[2])).toContain('\'=HYPERLINK("x")')
    const other = ((await ada.post('/api/sources/kept', { title: 'A copy' })).body as { id: string }).id
    const back = (
      await ada.post(`/api/sources/${other}/file`, { text: saved.body as string, keep: 'if all are right' })
    ).body
    expect(back).toMatchObject({ faulty: 0, added: 7, kept: true })
  })
})

it('what is no table says why', async () => {
  expect(await file({ text: 'a,b\n"x' })).toMatchObject({
    status: 422,
    body: { error: { code: 'no-table', issues: [{ field: 'text' }] } },
  })
  expect(await file({ text: '' })).toMatchObject({ status: 400 })
})

it.each([
  [{ text: '', rating: null }, 'text'],
  [{ text: 'x', rating: 6 }, 'rating'],
  [{ text: 'x', date: '2026-02-30' }, 'date'],
  [{ text: 'x', language: 'no language' }, 'language'],
])('a typed review that is not right names the field: %j', async (review, field) =>
  expect(await put(review)).toMatchObject({ status: 400, body: { error: { issues: [{ field }] } } }),
)

it('what is written elsewhere cannot be typed over', async () => {
  const url = system.standins('skerrow-guide', '/places/orrin-kiln')
  const guide = ((await ada.post('/api/sources', { kind: 'structured-data', url })).body as { id: string }).id
  expect(await ada.call('PUT', `/api/sources/${guide}/entries`, typed({ text: 'x' }))).toMatchObject({ status: 409 })
  expect((await ada.get(`/api/sources/${guide}/reviews.csv`)).status).toBe(200)
})

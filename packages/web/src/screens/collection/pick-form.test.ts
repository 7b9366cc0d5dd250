import { expect, it } from 'vitest'
import type { Entry, PageFacts } from '../../api/types'
import { emptyForm, formOf, typedOf, withFacts } from './pick-form'

const picture = (url: string) => ({ url, width: 400, height: 300, alt: '' })
const facts: PageFacts = {
  link: 'https://a.example/',
  title: 'A title',
  description: 'Words',
  site: 'A site',
  language: 'en-GB',
  publishedAt: '2026-11-20T10:00:00.000Z',
  pictures: [picture('https://a.example/1.jpg'), picture('https://a.example/2.jpg')],
}

it('what a page says fills what is empty, and nothing that was written', () => {
  const form = withFacts({ ...emptyForm(), title: 'My own' }, facts)
  expect(form).toMatchObject({ title: 'My own', text: 'Words', date: '2026-11-20', picture: facts.pictures[0] })
  const again = withFacts({ ...form, picture: null }, facts)
  expect(again.choices).toHaveLength(2)
})
it('goes out with its labels one by one, and without what only the form knows', () => {
  expect(typedOf({ ...withFacts(emptyForm(), facts), labels: ' knots, ,boats ' }, null)).toEqual({
    key: null,
    link: 'https://a.example/',
    title: 'A title',
    text: 'Words',
    site: 'A site',
    date: '2026-11-20',
    labels: ['knots', 'boats'],
    language: 'en-GB',
    picture: facts.pictures[0],
  })
})
it('a new one without a day is picked today; one that is there may lose its day', () => {
  expect(typedOf(emptyForm(), null).date).toBeNull()
  expect(typedOf(emptyForm(), 'k').date).toBe('')
})
it('one that is there comes back as it was', () => {
  const own = { base: 'https://ours.example/i1/x', widths: [96] }
  const entry = {
    key: 'k',
    author: null,
    publishedAt: '2026-11-20T12:00:00.000Z',
    link: 'https://a.example/',
    language: null,
    labels: ['a', 'b'],
    body: { type: 'pick', title: 'T', text: 'N', site: 'S', picture: { ...picture('https://a.example/1.jpg'), own } },
  } as Entry
  const typed = typedOf(formOf(entry), 'k')
  expect(typed).toMatchObject({ key: 'k', title: 'T', text: 'N', site: 'S', date: '2026-11-20', labels: ['a', 'b'] })
  expect(typed.picture).toEqual(picture('https://a.example/1.jpg'))
})

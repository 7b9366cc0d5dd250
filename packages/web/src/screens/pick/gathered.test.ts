import { expect, it } from 'vitest'
import { gathered } from './gathered'

it('what was gathered fills the form; the first picture is chosen', () => {
  const said = new URLSearchParams({ link: 'https://a.example/?x=1&y=2', title: 'A  title', text: 'Chosen\nwords' })
  said.append('picture', 'https://a.example/1.jpg')
  said.append('picture', 'https://a.example/2.jpg')
  expect(gathered(`#${said}`)).toMatchObject({
    link: 'https://a.example/?x=1&y=2',
    title: 'A title',
    text: 'Chosen\nwords',
    picture: { url: 'https://a.example/1.jpg' },
    choices: [{}, {}],
  })
})
it('whatever else stands there does no harm', () => {
  expect(gathered('')).toMatchObject({ link: '', title: '', picture: null })
  expect(
    gathered(`#link=javascript:alert(1)&picture=data:text/html,x&picture=nowhere&title=${'x'.repeat(999)}`),
  ).toMatchObject({ link: '', picture: null, choices: [], title: 'x'.repeat(300) })
})

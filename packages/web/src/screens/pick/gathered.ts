import { emptyForm, type PickForm } from '../collection/pick-form'

const MOST = { text: 2000, title: 300, site: 300, pictures: 8 }

/** What the bookmark gathered on a page, as it stands behind the `#` of the window's address; anything may stand there. */
export function gathered(hash: string): PickForm {
  const said = new URLSearchParams(hash.replace(/^#/, ''))
  const text = (name: 'text' | 'title' | 'site') =>
    (said.get(name) ?? '')
      .replace(/[^\S\n]+/g, ' ')
      .trim()
      .slice(0, MOST[name])
  const choices = said
    .getAll('picture')
    .filter(isWeb)
    .slice(0, MOST.pictures)
    .map((url) => ({ url, width: null, height: null, alt: '' }))
  const link = said.get('link') ?? ''
  return {
    ...emptyForm(),
    link: isWeb(link) ? link : '',
    title: text('title'),
    text: text('text'),
    site: text('site'),
    language: said.get('language')?.slice(0, 35) || null,
    choices,
    picture: choices[0] ?? null,
  }
}

const isWeb = (address: string) => URL.canParse(address) && /^https?:$/.test(new URL(address).protocol)

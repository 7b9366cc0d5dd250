import type { Element } from 'domhandler'
import type { Look } from '../look'
import { textWithin } from '../../html'
import { elementsNamed, type Page } from '../page'
import { measures } from '../place/measure'
import { isSamePage } from './same-page'
import { titles, type StandIn } from './stand-ins'

/** Why a page cannot be judged at all, as a sentence; null where it can. */
export function problemOf(answer: Look, page: Page | null): string | null {
  if (answer.error) return answer.error.message
  if (answer.status === 401 || answer.status === 403)
    return `The site asks visitors to sign in or keeps them out (${answer.status}).`
  if (answer.status >= 400) return `The site answers with error ${answer.status}.`
  const type = answer.headers['content-type'] ?? ''
  if (type && answer.html && !/html|xml/i.test(type)) return `The address gives ${type.split(';')[0]}, not a web page.`
  return page ? standsIn(answer, page) : null
}

/** What the page is instead of what was asked for. */
function standsIn(answer: Look, page: Page): string | null {
  const here = readOutline(page)
  if (here.frames) return 'The page is made of frames, each a page of its own: none of them was looked into.'
  if (asksForPassword(answer, page, here)) return 'Visitors are sent to a sign-in page.'
  for (const { standIn, most, says } of standIns)
    if (
      here.letters < most &&
      here.titles.some((title) => titles[standIn].test(title)) &&
      (!here.title || saysItself(here, standIn))
    )
      return says
  if (answer.status === 202 && here.letters < 400) return QUESTION
  if (here.letters === 0 && here.things === 0)
    return elementsNamed(page, 'script').length
      ? 'The page is empty until scripts fill it: only a look by a browser can see what visitors see.'
      : 'The page is empty.'
  return null
}

const QUESTION = 'The site asks first whether a person is there, and did not show the page.'

/** Letters a stand-in has at most: a page that tells more than that is about it. */
const standIns: { standIn: StandIn; most: number; says: string }[] = [
  { standIn: 'question', most: 1200, says: QUESTION },
  {
    standIn: 'not-found',
    most: 2500,
    says: 'The site says that there is no such page, though it answers as if there were.',
  },
  { standIn: 'closed', most: 1500, says: 'The site is closed to visitors just now: it shows a page that says so.' },
]

interface Outline {
  title: string
  /** The title, and what stands out as a heading would. */
  titles: string[]
  headings: string[]
  /** That are read; of links too. */
  letters: number
  things: number
  frames: boolean
}

const words = (element: Element) => textWithin(element, 200).replace(/\s+/g, ' ').trim()

function readOutline(page: Page): Outline {
  const [titled] = elementsNamed(page, 'title')
  const title = titled ? words(titled) : ''
  const headings = elementsNamed(page, 'h1', 'h2').slice(0, 4).map(words).filter(Boolean)
  const [body] = elementsNamed(page, 'body')
  const size = body && measures(page).get(body)
  return {
    title,
    headings,
    titles: [title, ...(headings.length ? headings : firstLine(page))].filter(Boolean),
    letters: (size?.prose ?? 0) + (size?.linked ?? 0),
    things: size?.things ?? 0,
    frames: elementsNamed(page, 'frameset').length > 0,
  }
}

/** A page without headings says what it is in its first lines. */
const firstLine = (page: Page): string[] =>
  elementsNamed(page, 'p', 'div').slice(0, 20).map(words).filter(Boolean).slice(0, 1)

/** Not a page that mentions such things in passing: its title or its first heading is about it, and nothing beside. */
function saysItself({ title, headings }: Outline, standIn: StandIn): boolean {
  const pattern = titles[standIn]
  const own = title.replace(/\s+/g, ' ').split(/ [|–—·:-] /)
  return (
    own.some((part) => pattern.test(part)) ||
    headings.slice(0, 1).some((heading) => pattern.test(heading) && heading.length < 90)
  )
}

/** Elements that are filled in to get in: a password, or a name to which the password is asked for next. */
function asksForPassword(answer: Look, page: Page, here: Outline): boolean {
  const inputs = elementsNamed(page, 'input').map(({ attribs }) => attribs)
  const password = inputs.some(({ type }) => type?.toLowerCase() === 'password')
  if (password && !isSamePage(answer.url, answer.finalUrl)) return true
  if (here.letters > 900) return false
  const said = here.titles.some((title) => titles['sign-in'].test(title))
  if (password) return said || (!here.headings.length && here.letters < 120)
  return (
    said &&
    inputs.some(
      ({ autocomplete = '', type = '', name = '' }) =>
        /username/i.test(autocomplete) || /^email$/i.test(type) || /user|login/i.test(name),
    )
  )
}

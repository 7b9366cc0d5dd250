import type { Fetched } from './plan'
import type { Page } from './page'

/** Why a page cannot be judged at all, as a sentence; null where it can. */
export function problemOf(answer: Fetched, page: Page | null): string | null {
  if (answer.error) return answer.error.message
  if (answer.status === 401 || answer.status === 403)
    return `The site asks visitors to sign in or keeps them out (${answer.status}).`
  if (answer.status >= 400) return `The site answers with error ${answer.status}.`
  const type = answer.headers['content-type'] ?? ''
  if (type && !/html|xml/i.test(type)) return `The address gives ${type.split(';')[0]}, not a web page.`
  if (page && isSignInWall(answer, page)) return 'Visitors are sent to a sign-in page.'
  return null
}

/** A redirect to a page whose point is a password. */
const isSignInWall = (answer: Fetched, page: Page) =>
  differs(answer.url, answer.finalUrl) && page.$('input[type="password" i]').length > 0

/** Where the page really is, when that is not where it was asked for; a slash at the end, the query and http→https do not count. */
export function movedTo(answer: Fetched): string | null {
  return differs(answer.url, answer.finalUrl) ? answer.finalUrl : null
}

function differs(asked: string, got: string): boolean {
  const [a, b] = [new URL(asked), new URL(got)]
  const trim = (path: string) => path.replace(/\/+$/, '')
  return a.host !== b.host || trim(a.pathname) !== trim(b.pathname)
}

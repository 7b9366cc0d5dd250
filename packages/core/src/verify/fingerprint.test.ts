import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { contentHash } from './content-hash'
import { fingerprint, saysTheSame } from './fingerprint'
import { parsePage } from './page'

const of = (html: string) => fingerprint(parsePage(html))
const page = (body: string, head = '') =>
  `<!DOCTYPE html><html><head><title>T</title>${head}</head><body>${body}</body></html>`

describe('two fetches of one page', () => {
  it.each([
    ['a nonce', page('<script nonce="abc">1</script><p>Hi</p>'), page('<script nonce="xyz">1</script><p>Hi</p>')],
    [
      'a form token',
      page('<form><input type="hidden" value="1"></form>'),
      page('<form><input type="hidden" value="2"></form>'),
    ],
    ['a version in a query', page('<img src="/a.png?v=1">'), page('<img src="/a.png?v=2">')],
    ['a comment with a time', page('<p>Hi</p><!-- 10:00 -->'), page('<p>Hi</p><!-- 10:01 -->')],
    ['white space', page('<p>Hi  there</p>'), page('<p>\n Hi there </p>')],
    ['a clock', page('<time>10:00</time><p>Hi</p>'), page('<time>10:01</time><p>Hi</p>')],
    ['inline data', page('<p>Hi</p>', '<style>a{}</style>'), page('<p>Hi</p>', '<style>b{}</style>')],
  ])('are the same but for %s', (_what, a, b) => {
    expect(of(a)).toBe(of(b))
    expect(contentHash(parsePage(a))).toBe(contentHash(parsePage(b)))
  })
})

describe('an edited page differs', () => {
  it.each([
    ['words', page('<p>Hi</p>'), page('<p>Ho</p>')],
    ['an element more', page('<p>Hi</p>'), page('<p>Hi</p><p></p>')],
    ['another link', page('<a href="/a">x</a>'), page('<a href="/b">x</a>')],
    ['another picture', page('<img src="/a.png">'), page('<img src="/b.png">')],
    ['a widget', page('<p>Hi</p>'), page('<p>Hi</p><div data-pebblestrand="x"><a href="/v/x">n</a></div>')],
  ])('by %s', (_what, a, b) => {
    expect(of(a)).not.toBe(of(b))
    expect(contentHash(parsePage(a))).not.toBe(contentHash(parsePage(b)))
  })
})

describe('what differs from look to look', () => {
  const visited = (n: number, more = '') =>
    page(`<p>Hi</p><a href="/s/${n}/x">in</a>${more}<p>Visitor ${n}</p><img src="/n/${n}.gif"><p>end</p>`)
  const same = (before: string, now: string, again: string | null = null) =>
    saysTheSame(of(before), of(now), again === null ? null : of(again))

  it('is noise', () => expect(same(visited(1), visited(2), visited(3))).toBe(true))
  it('is not, where there was one look only', () => expect(same(visited(1), visited(2))).toBe(false))
  it('does not hide what was edited: added, taken out or changed', () => {
    expect(same(visited(1), visited(2, '<p>new</p>'), visited(3, '<p>new</p>'))).toBe(false)
    expect(same(visited(1, '<p>old</p>'), visited(2), visited(3))).toBe(false)
    expect(same(visited(1, '<p>old</p>'), visited(2, '<p>new</p>'), visited(3, '<p>new</p>'))).toBe(false)
  })
  it('whatever was edited amid whatever noise', () => {
    const words = fc.array(fc.constantFrom('ebb', 'flow', 'neap', 'spring', 'slack'), { maxLength: 8 })
    fc.assert(
      fc.property(words, words, fc.nat(9), (before, after, n) => {
        const made = (list: string[], at: number) =>
          page(`<p>top</p>${list.map((word) => `<p>${word}</p>`).join('')}<hr><p>Visitor ${at}</p>`)
        const unchanged = before.join() === after.join()
        expect(same(made(before, n), made(after, n + 10), made(after, n + 20))).toBe(unchanged)
      }),
    )
  })
})

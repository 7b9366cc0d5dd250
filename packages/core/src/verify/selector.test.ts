import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { matchesOf } from './match-selector'
import { parsePage } from './page'
import { readSelector } from './selector'

const page = parsePage(`<!doctype html><html><body class="home"><div id="main" class="a b"><p class="a">1</p><p>2</p>
<section data-x="one two"><p class="b">3</p><div><p class="a b">4</p></div></section><p>5</p></div>
<aside class="a"><ul><li class="a">1<li>2<li class="b">3</ul><div><div><p id="deep">6</p></div></div></aside></body></html>`)

/** cheerio's own engine as the second opinion. */
const asCheerio = (selector: string) =>
  page
    .$(selector)
    .toArray()
    .map((element) => page.$(element).html())
const ours = (selector: string) =>
  page
    .$('*')
    .toArray()
    .filter((element) => matchesOf(page, selector)!.has(element as never))
    .map((element) => page.$(element).html())

describe('a placement’s selector', () => {
  it.each([
    '#main',
    '.a.b',
    'div p',
    'body > div > p',
    '#main > p:nth-child(2)',
    'p:first-child + p',
    'p ~ p, li:last-child',
    'section[data-x~="two"] p',
    'aside div div p',
    'ul > li:nth-of-type(2n+1)',
    '*:only-child',
    'body > :nth-last-child(1) li:not-a-pseudo, p',
    'li:nth-last-of-type(1)',
    'div > div p:only-of-type',
    '[class^="a" i]',
    'p:not(.a)',
    ':is(p, li).b',
    'div > :not(p):not(.a), :not([data-x], aside) + p',
  ])('%s matches what another engine matches, or is not read', (selector) => {
    if (selector.includes('not-a-pseudo')) return expect(readSelector(selector)).toBeNull()
    expect(ours(selector)).toEqual(asCheerio(selector))
    return undefined
  })

  const simple = fc.constantFrom(
    'p',
    'div',
    '.a',
    '.b',
    '*',
    'li',
    '#main',
    'section',
    '[data-x]',
    ':first-child',
    'p:nth-child(odd)',
    ':last-of-type',
  )
  const chain = fc
    .tuple(simple, fc.array(fc.tuple(fc.constantFrom(' ', ' > ', ' + ', ' ~ '), simple), { maxLength: 4 }))
    .map(([first, rest]) => first + rest.map(([combinator, link]) => combinator + link).join(''))
  it('of any make-up matches alike', () =>
    fc.assert(
      fc.property(chain, (selector) => JSON.stringify(ours(selector)) === JSON.stringify(asCheerio(selector))),
      { numRuns: 500 },
    ))

  it.each([
    '((',
    '',
    'div:has(a)',
    ':not(:has(a))',
    'p:not(div p)',
    ':is(p:nth-child(1))',
    'p::before',
    'a > > b',
    Array(11).fill('p').join(','),
    Array(21).fill('p').join(' '),
  ])('%s is not read', (selector) => expect(readSelector(selector)).toBeNull())

  it('is matched in one pass, however deep and wide the page is', () => {
    const deep = parsePage(`${'<div>'.repeat(700)}${'<p></p>'.repeat(3000)}`)
    expect(matchesOf(deep, Array(20).fill('div').join(' '))!.size).toBe(700 - 19)
    expect(matchesOf(deep, 'p:nth-child(2900)')!.size).toBe(1)
    const wide = parsePage('<i></i>'.repeat(100_000))
    expect(matchesOf(wide, 'i ~ i ~ i ~ i:nth-last-of-type(3)')!.size).toBe(1)
  })
})

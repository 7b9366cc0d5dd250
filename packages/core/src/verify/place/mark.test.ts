import { describe, expect, it } from 'vitest'
import { parsePage } from '../page'
import { markFor } from './mark'

const markIn = (html: string) => {
  const page = parsePage(`<!DOCTYPE html><html><body>${html}</body></html>`)
  return markFor(page, page.$('#x')[0]!)
}
const x = '<div id="x"></div>'

describe('the nearest container that is likely to stay', () => {
  it.each([
    [`<div id="sidebar"><div class="css-1k2j">${x}</div></div>`, '#sidebar'],
    [`<aside class="side p-4"><p>${x}</p></aside>`, 'aside.side'],
    [`<div class="widget-area w-64 md:w-1/3">${x}</div>`, 'div.widget-area'],
    [`<main><div class="_3kQz x1f9a">${x}</div></main>`, 'main'],
    [`<footer><div class="row"><div class="col-4">${x}</div></div></footer>`, 'footer'],
    [`<div class="site-footer__inner">${x}</div>`, 'div.site-footer__inner'],
  ])('%s', (html, mark) => expect(markIn(html)).toBe(mark))
  it('is the only one of its sort', () =>
    expect(markIn(`<div id="page"><div class="card">${x}</div><div class="card"></div></div>`)).toBe('#page'))
  it('is none, where all names are made by tools', () =>
    expect(markIn(`<div id="root-8f3k2"><div class="sc-aXZVg kQzPlm flex">${x}</div></div>`)).toBeNull())
})

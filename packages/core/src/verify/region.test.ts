import { describe, expect, it } from 'vitest'
import { parsePage } from './page'
import { inPlacement, isMarkGone, placeOf } from './region'

const regionIn = (html: string) => {
  const page = parsePage(`<!DOCTYPE html><html><body>${html}</body></html>`)
  return placeOf(page, page.$('#x')[0]!).region
}
const x = '<div id="x"></div>'

// HTML-AAM 1.0: which HTML elements are landmarks; WAI-ARIA 1.2: landmark roles.
describe('landmarks', () => {
  it.each([
    [`<header>${x}</header>`, 'header'],
    [`<nav>${x}</nav>`, 'header'],
    [`<main>${x}</main>`, 'main'],
    [`<aside>${x}</aside>`, 'sidebar'],
    [`<footer>${x}</footer>`, 'footer'],
    [`<article>${x}</article>`, 'main'],
    [`<div role="banner">${x}</div>`, 'header'],
    [`<div role="main">${x}</div>`, 'main'],
    [`<div role="complementary">${x}</div>`, 'sidebar'],
    [`<div role="contentinfo">${x}</div>`, 'footer'],
    [`<div role="COMPLEMENTARY">${x}</div>`, 'sidebar'],
    // the nearest landmark decides
    [`<main><aside>${x}</aside></main>`, 'sidebar'],
    [`<aside><div><section>${x}</section></div></aside>`, 'sidebar'],
    // header and footer of sectioning content are no landmarks of the page
    [`<main><header>${x}</header></main>`, 'main'],
    [`<article><footer>${x}</footer></article>`, 'main'],
    [`<aside><header>${x}</header></aside>`, 'sidebar'],
    // a role takes the place of the element's own
    [`<aside role="contentinfo">${x}</aside>`, 'footer'],
    [`<footer role="presentation">${x}</footer>`, null],
  ])('%s', (html, region) => expect(regionIn(html)).toBe(region))
})

describe('id and class words, where no landmark tells', () => {
  it.each([
    [`<div class="sidebar">${x}</div>`, 'sidebar'],
    [`<div id="secondary">${x}</div>`, 'sidebar'],
    [`<div class="widget-area side">${x}</div>`, 'sidebar'],
    [`<div class="site-footer">${x}</div>`, 'footer'],
    [`<div id="colophon">${x}</div>`, 'footer'],
    [`<div class="siteHeader">${x}</div>`, 'header'],
    [`<div id="masthead">${x}</div>`, 'header'],
    [`<div class="entry-content">${x}</div>`, 'main'],
    [`<div id="content"><div class="sidebar">${x}</div></div>`, 'sidebar'],
    [`<div class="sidebar"><div class="inner">${x}</div></div>`, 'sidebar'],
    [`<div class="ride-outside">${x}</div>`, null],
    [x, null],
  ])('%s', (html, region) => expect(regionIn(html)).toBe(region))

  it('comes after landmarks', () => {
    expect(regionIn(`<main class="sidebar">${x}</main>`)).toBe('main')
    expect(regionIn(`<aside class="footer-widgets">${x}</aside>`)).toBe('sidebar')
  })
  it("does not take the body's own classes", () => {
    const page = parsePage(`<html><body class="has-sidebar main">${x}</body></html>`)
    expect(placeOf(page, page.$('#x')[0]!).region).toBeNull()
  })
})

describe("a placement's own selector", () => {
  const page = parsePage(`<body><main><div class="rail">${x}</div><div class="elsewhere"></div></main></body>`)
  const node = page.$('#x')[0]!
  it('wins over the region', () =>
    expect(inPlacement(page, node, { region: 'sidebar', selector: '.rail' })).toEqual({
      inside: true,
      region: 'sidebar',
      by: 'mark',
    }))
  it('is not fulfilled outside its element', () =>
    expect(inPlacement(page, node, { region: 'main', selector: '.elsewhere' }).inside).toBe(false))
  it('decides nothing where it fits nothing on the page any more', () => {
    expect(isMarkGone(page, '.taken-away')).toBe(true)
    expect(isMarkGone(page, '.elsewhere')).toBe(false)
    expect(inPlacement(page, node, { region: 'sidebar', selector: '.taken-away' }).inside).toBe(true)
  })
  it('decides nothing when it is broken', () =>
    expect(inPlacement(page, node, { region: 'sidebar', selector: ':::' }).inside).toBe(true))
})

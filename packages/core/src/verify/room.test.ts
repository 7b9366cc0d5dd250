import { load } from 'cheerio'
import { describe, expect, it } from 'vitest'
import { methodIds, type MethodId } from '../methods'
import { asShown } from '../methods/as-shown'
import { pageWithRoom } from './room'
import { ROOM_ID } from './room-marks'

const page = (main = '', aside = '') =>
  `<!doctype html><html><head><title>T</title><script>evil()</script><meta http-equiv="refresh" content="0;url=/x"></head>
<body onload="evil()"><header>H</header><main><p>words</p>${main}</main><aside id="rail"><h2>News</h2>${aside}</aside>
<a href="javascript:evil()">x</a><iframe src="/other"></iframe><footer>F</footer></body></html>`
const snippetOf = (method: MethodId, publicId: string) =>
  asShown(method, {
    origin: 'https://s.example',
    publicId,
    name: 'News',
    agency: 'A',
    width: 300,
    height: 200,
  })
const roomIn = (html: string) => load(html)(`#${ROOM_ID}`)

describe('a page with room for a widget', () => {
  it.each(['header', 'main', 'sidebar', 'footer'] as const)('has it at the end of the %s', (region) => {
    const { html, found } = pageWithRoom(page(), { region })
    expect(found).toBe(true)
    const parent = { header: 'header', main: 'main', sidebar: 'aside', footer: 'footer' }[region]
    expect(roomIn(html).parent().get(0)!.name).toBe(parent)
    expect(roomIn(html).next()).toHaveLength(0)
  })
  it('has it where the widget stands, and leaves the others', () => {
    const snippet = snippetOf('inline', 'abcd-efgh')
    const { html } = pageWithRoom(page(snippet, `${snippet}<p>after</p>`), { region: 'sidebar' }, 'abcd-efgh')
    expect(roomIn(html).next().text()).toBe('after')
    expect(load(html)('main a').text()).toContain('News')
    expect(load(html)('[data-pebblestrand]')).toHaveLength(0)
  })
  it.each(methodIds)('as %s as well: in place of this very install, not of another in the same placement', (method) => {
    const aside = `${snippetOf('inline', 'other-one')}<p>between</p>${snippetOf(method, 'abcd-efgh')}<p>after</p>`
    const { html } = pageWithRoom(page('', aside), { region: 'sidebar' }, 'abcd-efgh')
    expect(roomIn(html).prevAll('p').text()).toBe('between')
    expect(roomIn(html).nextAll('p').text()).toBe('after')
    expect(load(html)('aside div')).toHaveLength(2)
  })
  it('has it in place of the template it stands in, which shows nothing', () => {
    const snippet = `<template><section>${snippetOf('inline', 'abcd-efgh')}</section></template><p>after</p>`
    expect(
      roomIn(pageWithRoom(page('', snippet), { region: 'sidebar' }, 'abcd-efgh').html)
        .next()
        .text(),
    ).toBe('after')
  })
  it.each(['template i', 'iframe', 'head', 'title'])('never has it where nothing is shown: %s', (selector) => {
    const { html, found } = pageWithRoom(page('<template><i></i></template>'), { region: 'main', selector })
    expect(found).toBe(false)
    expect(roomIn(html).parent().get(0)!.name).toBe('body')
  })
  it('has it behind what stands there, for a widget that is not there yet', () => {
    const { html } = pageWithRoom(page('', snippetOf('inline', 'other-one')), { region: 'sidebar' }, null)
    expect(roomIn(html).prevAll('div').text()).toContain('News')
  })
  it('follows the placement’s selector, and a broken one leads to the end of the page', () => {
    expect(
      roomIn(pageWithRoom(page(), { region: 'main', selector: '#rail' }).html)
        .parent()
        .attr('id'),
    ).toBe('rail')
    expect(pageWithRoom(page(), { region: 'main', selector: '((' })).toMatchObject({ found: false })
  })
  it('keeps nothing that runs, reloads or leads away by itself', () => {
    const { html } = pageWithRoom(page(), { region: 'main' })
    expect(html).not.toMatch(/evil|iframe|http-equiv/)
    expect(html).toContain('words')
  })
  it('takes any text for a page', () => expect(roomIn(pageWithRoom('', { region: 'main' }).html)).toHaveLength(1))
})

import { describe, expect, it } from 'vitest'
import { isElement, parsePage } from '../verify/page'
import { NUMBER, roomsOf, sharedRooms, type MeasuredBox, type Room } from './rooms'

/**
 * A page whose elements say where they lie: `data-box="x y width height content"`. At narrower windows all is 390 or 768 wide.
 * That a browser's boxes are read rightly is held in the server's tests, against pages from the registries.
 */
function measured(html: string) {
  const page = parsePage(html)
  const boxes = { phone: new Map<number, MeasuredBox>(), tablet: new Map(), desktop: new Map<number, MeasuredBox>() }
  let number = 0
  page.$('*').each((_, element) => {
    if (!isElement(element)) return
    const box = element.attribs['data-box']?.split(' ').map(Number)
    if (!box) return
    element.attribs[NUMBER] = String(++number)
    const [x, y, width, height, content] = box as [number, number, number, number, number?]
    boxes.desktop.set(number, { x, y, width, height, content: content ?? width })
    boxes.phone.set(number, { x: 0, y, width: 390, height, content: 350 })
    boxes.tablet.set(number, { x: 0, y, width: 768, height, content: Math.min(content ?? width, 728) })
  })
  return { page, boxes }
}
const words = 'Words of a text that is long enough to be read as one, with some more of them at its end. '.repeat(4)
const rooms = (html: string) => roomsOf(measured(html)).map(({ name, widths }) => [name, widths.desktop])

const twoColumns = `<body data-box="0 0 1280 900"><header data-box="0 0 1280 80"><div class="wrap" data-box="100 0 1080 80 1040"><a href="/">Home</a><a href="/x">News</a></div></header>
<div class="columns" data-box="100 80 1080 700 1040"><main data-box="120 80 700 700"><h1 data-box="120 80 700 40">x</h1><p data-box="120 120 700 90">${words}</p></main>
<aside data-box="860 80 300 700"></aside></div><footer data-box="0 780 1280 90"><div data-box="100 780 1080 90 1040"><p data-box="120 780 1040 20">The end</p></div></footer></body>`

describe('the rooms of a page', () => {
  it('are its regions, as wide as what stands in them, an empty sidebar too', () =>
    expect(rooms(twoColumns)).toEqual([
      ['header', 1040],
      ['main', 700],
      ['sidebar', 300],
      ['footer', 1040],
    ]))
  it('are measured at each width, and drawn where they are', () => {
    const [, main] = roomsOf(measured(twoColumns))
    expect(main).toMatchObject({
      widths: { phone: 350, tablet: 700, desktop: 700 },
      box: { x: 120, y: 80, width: 700, height: 700 },
      mark: 'main',
    })
  })
  it('are not narrowed by a widget that stands there', () =>
    expect(
      rooms(
        twoColumns.replace(
          '<aside data-box="860 80 300 700"></aside>',
          '<aside data-box="860 80 300 700"><div data-box="860 80 120 90"><div data-pebblestrand="abcd-efgh" data-box="860 80 120 90"></div></div></aside>',
        ),
      )[2],
    ).toEqual(['sidebar', 300]))
  it('of bands one under another are as wide as most of them, by height', () =>
    expect(
      rooms(`<body data-box="0 0 1280 2000"><header><a href="/">x</a></header><main data-box="0 0 1280 2000"><section data-box="0 0 1280 300"><h1 data-box="0 0 1280 60">x</h1></section>
<section data-box="0 300 1280 900"><div data-box="100 300 1080 900"><p data-box="100 300 1080 90">${words}</p></div></section>
<section data-box="0 1200 1280 500"><div data-box="100 1200 1080 500"><p data-box="100 1200 1080 90">${words}</p></div></section></main></body>`),
    ).toEqual([['main', 1080]]))
  it('of a row that reaches over its column are the column’s', () =>
    expect(
      rooms(`<body data-box="0 0 1280 800"><main data-box="100 0 1080 800 1056"><div data-box="100 0 1080 800 1080">
<div data-box="100 0 540 800 516"><p data-box="112 0 516 90">${words}</p></div><div data-box="640 0 540 800 516"><p data-box="652 0 516 90">${words}</p></div></div></main></body>`),
    ).toEqual([['main', 1056]]))
  it('of a page without a body are none', () => expect(roomsOf(measured('<frameset><frame></frameset>'))).toEqual([]))
})

describe('the rooms of a site', () => {
  const room = (name: string, desktop: number, region: Room['region'] = 'main'): Room => ({
    region,
    name,
    widths: { phone: 350, tablet: 700, desktop },
    box: { x: 0, y: 0, width: desktop, height: 100 },
    mark: null,
  })
  it('are those that most of its pages have; what few have is theirs', () =>
    expect(
      sharedRooms([[room('main', 700)], [room('main', 705), room('sidebar', 300, 'sidebar')], [room('main', 700)]]).map(
        ({ name, on }) => [name, on],
      ),
    ).toEqual([
      ['main', null],
      ['sidebar', [1]],
    ]))
  it('are not doubled by one page that has them in another width', () =>
    expect(sharedRooms([[room('main', 700)], [room('main', 700)], [room('main', 450)]])).toHaveLength(1))
})

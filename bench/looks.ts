import { contrast, nearestReadable, toHex, toOklch } from '@pebblestrand/core/look'
import { scopeCss } from '@pebblestrand/core/own-css'
import { lookFrom, samplesFromSheets } from '@pebblestrand/core/site-look'
import { parse as parseCss } from 'css-tree'
import { load } from 'cheerio'
import { compared, type Ratio } from './stand'

const colours = Array.from({ length: 60 }, (_, at) => toHex({ l: (at % 10) / 10, c: 0.12, h: at * 37 }))

/** The nearest readable colour on two backgrounds, against going through every lightness there is. */
export function nearestColour(): Ratio {
  const grounds = ['#ffffff', '#f2efe6']
  const throughAll = (colour: string) => {
    const { c, h } = toOklch(colour)
    return Array.from({ length: 257 }, (_, at) => toHex({ l: at / 256, c, h })).filter((hex) =>
      grounds.every((ground) => contrast(hex, ground) >= 4.5),
    )
  }
  const { one, other, ratio } = compared(
    () => colours.forEach((colour) => nearestReadable(colour, grounds, 4.5)),
    () => colours.forEach(throughAll),
  )
  return {
    name: 'the nearest readable colour, for 60',
    measured: `${one.toFixed(1)} ms`,
    against: `going through every lightness: ${other.toFixed(1)} ms`,
    ratio,
    wants: { most: 1 },
  }
}

const sheet = Array.from(
  { length: 500 },
  (_, at) =>
    `.part-${at} a:hover,::part(title) .n${at}{color:rgb(${at % 255} 20 30);padding:${at % 9}px ${at % 7}px;background:linear-gradient(${at}deg,#fff,#000)}`,
).join('\n')

/** A sheet of 500 rules scoped to its widget, against parsing it alone. */
export function scoping(): Ratio {
  const wish = { parts: ['title'], overPage: false }
  const { one, other, ratio } = compared(
    () => scopeCss(sheet, wish),
    () => parseCss(sheet, { positions: true, parseCustomProperty: true }),
  )
  return {
    name: 'scoping a sheet of 500 rules, or as many as may be',
    measured: `${one.toFixed(1)} ms`,
    against: `parsing it alone: ${other.toFixed(1)} ms`,
    ratio,
    wants: { most: 8 },
  }
}

/** The look of a page with a sheet of 500 rules, from markup and sheets, against parsing both alone. */
export function takingALook(): Ratio {
  const html = `<body><main><h1>News</h1>${'<p>Words and <a href="#">a link</a></p>'.repeat(200)}</main></body>`
  const css = `body{color:#222;background:#fff}a{color:#1f5f99}${sheet}`
  const { one, other, ratio } = compared(
    () => lookFrom(samplesFromSheets(html, [{ css, url: 'https://ferries.example/a.css' }])),
    () => {
      load(html)
      parseCss(css)
    },
  )
  return {
    name: 'taking a look from 500 rules',
    measured: `${one.toFixed(1)} ms`,
    against: `parsing page and sheet alone: ${other.toFixed(1)} ms`,
    ratio,
    wants: { most: 6 },
  }
}

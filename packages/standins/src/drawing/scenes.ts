import { drawShore } from './shore'
import { stream } from './stream'

// What people of the isles photograph, drawn: 600 by 600, to be cut to any shape. The same name always draws the same.

type Next = () => number

const between = (next: Next, from: number, to: number) => from + next() * (to - from)
const whole = (next: Next, from: number, to: number) => Math.floor(between(next, from, to + 1))
const svg = (body: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 600 600" width="600" height="600" preserveAspectRatio="xMidYMid slice">${body}</svg>`
const times = (count: number, draw: (at: number) => string) =>
  Array.from({ length: count }, (_, at) => draw(at)).join('')
const hsl = (hue: number, saturation: number, lightness: number) =>
  `hsl(${Math.round(hue + 360) % 360} ${Math.round(saturation)}% ${Math.round(lightness)}%)`

function boat(next: Next): string {
  const hue = between(next, 180, 230)
  const horizon = between(next, 250, 330)
  const one = (at: number) => {
    const [x, size, hull] = [120 + at * 210 + between(next, -40, 40), between(next, 0.7, 1.25), between(next, 0, 360)]
    const sail = next() > 0.4
    return (
      `<g transform="translate(${x.toFixed(0)} ${(horizon + 90 + at * 30).toFixed(0)}) scale(${size.toFixed(2)})">` +
      (sail
        ? `<path d="M4-18V-210L110-30Z" fill="${hsl(hull + 30, 20, 94)}"/><path d="M-6-26V-180L-70-34Z" fill="${hsl(hull, 40, 70)}"/><path d="M0-10V-220" stroke="#4a3a2c" stroke-width="6"/>`
        : `<path d="M-30-12V-70H40V-12Z" fill="${hsl(hull + 30, 25, 92)}"/><path d="M-16-56H24V-36H-16Z" fill="#35566b"/><path d="M14-70V-120" stroke="#333" stroke-width="5"/>`) +
      `<path d="M-110-14H120C104 34 70 44 40 44H-60C-86 44-100 20-110-14Z" fill="${hsl(hull, 55, 38)}"/><path d="M-110-14H120" stroke="#f4efe2" stroke-width="7"/></g>`
    )
  }
  return (
    `<rect width="600" height="600" fill="${hsl(hue + 20, 45, 84)}"/><circle cx="${between(next, 60, 540).toFixed(0)}" cy="${between(next, 50, 170).toFixed(0)}" r="44" fill="${hsl(45, 80, 88)}"/>` +
    `<path d="M0 ${horizon} L0 ${horizon - 50} Q140 ${horizon - 130} 300 ${horizon - 40} T600 ${horizon - 60} V${horizon}Z" fill="${hsl(hue - 60, 20, 55)}"/>` +
    `<rect y="${horizon}" width="600" height="${600 - horizon}" fill="${hsl(hue, 45, 42)}"/>` +
    times(whole(next, 1, 2), one) +
    times(
      6,
      (at) =>
        `<path d="M${between(next, -40, 300).toFixed(0)} ${horizon + 150 + at * 24}q40-12 80 0t80 0 80 0" fill="none" stroke="${hsl(hue, 45, 64)}" stroke-width="4"/>`,
    )
  )
}

function pot(next: Next): string {
  const wall = between(next, 20, 60)
  const one = (at: number, count: number) => {
    const [x, w, h] = [
      (600 / count) * (at + 0.5),
      between(next, 60, 90) * (count === 1 ? 1.7 : 1),
      between(next, 170, 260) * (count === 1 ? 1.4 : 1),
    ]
    const [neck, foot, glaze] = [between(next, 0.35, 0.8), between(next, 0.4, 0.7), between(next, 0, 360)]
    const base = 470
    const body = `M${x - w * neck} ${base - h} C${x - w * 1.5} ${base - h * 0.6} ${x - w * 1.3} ${base - h * 0.2} ${x - w * foot} ${base} H${x + w * foot} C${x + w * 1.3} ${base - h * 0.2} ${x + w * 1.5} ${base - h * 0.6} ${x + w * neck} ${base - h}Z`
    const id = `p${at}`
    return (
      `<clipPath id="${id}"><path d="${body}"/></clipPath><path d="${body}" fill="${hsl(glaze, 40, 52)}"/><g clip-path="url(#${id})">` +
      times(
        whole(next, 1, 4),
        (band) =>
          `<rect x="0" width="600" y="${(base - h + 30 + band * between(next, 38, 60)).toFixed(0)}" height="${between(next, 6, 18).toFixed(0)}" fill="${hsl(glaze + 160, 35, 78)}" opacity=".8"/>`,
      ) +
      `<rect x="${x - w * 0.8}" y="${base - h}" width="${w * 0.3}" height="${h}" fill="#fff" opacity=".22"/></g>` +
      `<ellipse cx="${x}" cy="${base - h}" rx="${w * neck}" ry="${w * neck * 0.22}" fill="${hsl(glaze, 40, 26)}"/>`
    )
  }
  const count = whole(next, 1, 3)
  return (
    `<rect width="600" height="600" fill="${hsl(wall, 30, 86)}"/><rect y="466" width="600" height="26" fill="${hsl(wall - 10, 35, 46)}"/><rect y="492" width="600" height="108" fill="${hsl(wall, 26, 76)}"/>` +
    times(count, (at) => one(at, count))
  )
}

function clock(next: Next): string {
  const wood = between(next, 18, 42)
  const r = between(next, 170, 220)
  const [hour, minute] = [whole(next, 0, 11), whole(next, 0, 59)]
  const hand = (degrees: number, length: number, width: number) =>
    `<path d="M300 ${300 + 20}V${300 - length}" stroke="#1e1a16" stroke-width="${width}" stroke-linecap="round" transform="rotate(${degrees} 300 300)"/>`
  return (
    `<rect width="600" height="600" fill="${hsl(wood, 30, 24)}"/>` +
    times(9, (at) => `<path d="M${at * 75} 0V600" stroke="${hsl(wood, 30, 18)}" stroke-width="3"/>`) +
    `<circle cx="300" cy="300" r="${r + 34}" fill="${hsl(wood + 8, 48, 42)}"/><circle cx="300" cy="300" r="${r}" fill="${hsl(45, 45, 92)}"/>` +
    times(
      60,
      (at) =>
        `<path d="M300 ${300 - r + 8}v${at % 5 ? 9 : 24}" stroke="#2b2620" stroke-width="${at % 5 ? 2 : 6}" transform="rotate(${at * 6} 300 300)"/>`,
    ) +
    hand(hour * 30 + minute / 2, r * 0.52, 13) +
    hand(minute * 6, r * 0.8, 8) +
    `<circle cx="300" cy="300" r="13" fill="${hsl(0, 60, 40)}"/>`
  )
}

function knot(next: Next): string {
  const [ground, rope] = [between(next, 190, 260), between(next, 28, 46)]
  const loops = whole(next, 2, 4)
  const [a, b, turn] = [between(next, 110, 150), between(next, 150, 200), between(next, 0, 180)]
  const path = Array.from({ length: 181 }, (_, i) => {
    const t = (i / 180) * Math.PI * 2
    const r = a + b * 0.5 * (1 + Math.cos(loops * t)) * 0.7
    return `${i ? 'L' : 'M'}${(300 + r * Math.cos(t + Math.sin(loops * t))).toFixed(1)} ${(300 + r * Math.sin(t + Math.cos(t * loops) * 0.6)).toFixed(1)}`
  }).join('')
  return (
    `<rect width="600" height="600" fill="${hsl(ground, 24, 34)}"/><g transform="rotate(${turn.toFixed(0)} 300 300)"><path d="${path}Z" fill="none" stroke="#0004" stroke-width="52" transform="translate(8 12)"/>` +
    `<path d="${path}Z" fill="none" stroke="${hsl(rope, 45, 66)}" stroke-width="44"/><path d="${path}Z" fill="none" stroke="${hsl(rope, 45, 46)}" stroke-width="40" stroke-dasharray="5 15"/></g>`
  )
}

function stars(next: Next): string {
  const hue = between(next, 215, 275)
  const near = Array.from(
    { length: whole(next, 5, 8) },
    () => [between(next, 60, 540), between(next, 40, 360)] as const,
  )
  return (
    `<defs><linearGradient id="n" x2="0" y2="1"><stop stop-color="${hsl(hue, 55, 12)}"/><stop offset="1" stop-color="${hsl(hue + 25, 45, 34)}"/></linearGradient></defs><rect width="600" height="600" fill="url(#n)"/>` +
    times(
      170,
      () =>
        `<circle cx="${between(next, 0, 600).toFixed(0)}" cy="${between(next, 0, 480).toFixed(0)}" r="${between(next, 0.6, 2.4).toFixed(1)}" fill="#fff" opacity="${between(next, 0.4, 1).toFixed(2)}"/>`,
    ) +
    `<path d="M${near.map(([x, y]) => `${x.toFixed(0)} ${y.toFixed(0)}`).join('L')}" fill="none" stroke="#fff5" stroke-width="2"/>` +
    near
      .map(([x, y]) => `<circle cx="${x.toFixed(0)}" cy="${y.toFixed(0)}" r="5" fill="${hsl(48, 90, 88)}"/>`)
      .join('') +
    `<path d="M0 500 Q150 450 300 490 T600 470 V600H0Z" fill="${hsl(hue, 40, 8)}"/><path d="M220 500a80 80 0 0 1 160 0Z" fill="${hsl(hue, 12, 72)}"/><path d="M292 424h20l8 76h-36Z" fill="${hsl(hue, 20, 20)}"/><rect x="214" y="498" width="172" height="56" fill="${hsl(hue, 12, 58)}"/>`
  )
}

function cat(next: Next): string {
  const [wall, fur] = [between(next, 0, 360), between(next, 10, 45)]
  const coat = hsl(fur, next() > 0.5 ? 55 : 8, between(next, 18, 62))
  const [lean, tail] = [between(next, -30, 30), next() > 0.5 ? 1 : -1]
  return (
    `<rect width="600" height="600" fill="${hsl(wall, 28, 80)}"/><rect x="70" y="50" width="460" height="330" rx="6" fill="${hsl(200, 50, 88)}" stroke="${hsl(wall, 20, 95)}" stroke-width="18"/><path d="M300 50V380M70 215H530" stroke="${hsl(wall, 20, 95)}" stroke-width="12"/>` +
    `<rect y="470" width="600" height="130" fill="${hsl(wall + 30, 28, 52)}"/>` +
    `<g transform="translate(${lean.toFixed(0)} 0)"><path d="M${300 + tail * 90} 500q${tail * 120}-30 ${tail * 90}-170" fill="none" stroke="${coat}" stroke-width="34" stroke-linecap="round"/>` +
    `<path d="M200 520C180 380 250 320 300 320S420 380 400 520Z" fill="${coat}"/><circle cx="300" cy="270" r="84" fill="${coat}"/><path d="M226 236L232 150L290 200ZM374 236L368 150L310 200Z" fill="${coat}"/>` +
    `<ellipse cx="268" cy="264" rx="15" ry="19" fill="${hsl(95, 60, 62)}"/><ellipse cx="332" cy="264" rx="15" ry="19" fill="${hsl(95, 60, 62)}"/><ellipse cx="268" cy="264" rx="5" ry="16"/><ellipse cx="332" cy="264" rx="5" ry="16"/>` +
    `<path d="M292 300h16l-8 10Z" fill="#c77"/><path d="M262 310l-70-10M262 318l-68 12M338 310l70-10M338 318l68 12" stroke="#fff9" stroke-width="3"/></g>`
  )
}

function wheel(next: Next): string {
  const [ground, rim] = [between(next, 0, 360), between(next, 0, 360)]
  const spokes = whole(next, 7, 12) * 2
  const [x, y, r] = [between(next, 250, 350), between(next, 270, 320), between(next, 170, 220)]
  return (
    `<rect width="600" height="600" fill="${hsl(ground, 24, 82)}"/><rect y="500" width="600" height="100" fill="${hsl(ground, 16, 58)}"/>` +
    `<g transform="translate(${x.toFixed(0)} ${y.toFixed(0)})"><ellipse cx="10" cy="${r + 16}" rx="${r}" ry="16" fill="#0002"/><circle r="${r}" fill="none" stroke="#23262a" stroke-width="24"/><circle r="${r - 20}" fill="none" stroke="${hsl(rim, 60, 46)}" stroke-width="12"/>` +
    times(
      spokes,
      (at) =>
        `<path d="M${at % 2 ? 12 : -12} 0L0 ${-(r - 24)}" stroke="#777d84" stroke-width="3" transform="rotate(${(at * 360) / spokes})"/>`,
    ) +
    `<circle r="22" fill="#565c63"/><circle r="9" fill="#22262a"/></g>`
  )
}

function orchard(next: Next): string {
  const sky = between(next, 190, 215)
  const tree = (at: number) => {
    const [x, r] = [110 + at * 190 + between(next, -20, 20), between(next, 90, 125)]
    return (
      `<path d="M${x - 12} 480V330H${x + 12}V480Z" fill="#5a4330"/><circle cx="${x}" cy="280" r="${r}" fill="${hsl(between(next, 85, 120), 40, 38)}"/>` +
      times(12, () => {
        const [angle, far] = [between(next, 0, 6.28), between(next, 0, r - 18)]
        return `<circle cx="${(x + far * Math.cos(angle)).toFixed(0)}" cy="${(280 + far * Math.sin(angle)).toFixed(0)}" r="11" fill="${hsl(between(next, 0, 50), 70, 52)}"/>`
      })
    )
  }
  return `<rect width="600" height="600" fill="${hsl(sky, 50, 82)}"/><path d="M0 440Q160 390 320 430T600 410V600H0Z" fill="${hsl(95, 38, 52)}"/>${times(3, tree)}<path d="M0 500Q200 470 600 510V600H0Z" fill="${hsl(90, 40, 42)}"/>`
}

const inside = (whole: string) => whole.replace(/^<svg[^>]*>|<\/svg>$/g, '')
const shore = (_next: Next, name: string) => `<g transform="scale(1.667)">${inside(drawShore(name))}</g>`

const scenes = { boat, pot, clock, knot, stars, cat, wheel, orchard, shore }
export type Scene = keyof typeof scenes

const isScene = (name: string): name is Scene => Object.hasOwn(scenes, name)

/** A drawing by its name: what it shows and a seed, `boat-7`. What is no scene is a shore. */
export function drawScene(name: string): string {
  const [subject = ''] = name.split('-')
  return svg(scenes[isScene(subject) ? subject : 'shore'](stream(name), name))
}

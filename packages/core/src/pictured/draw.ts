import { escapeText } from '../markup'
import type { Pictured, PicturedRow } from './pictured'
import { linesOf, textWidth } from './text-width'

/** Colours as #rrggbb. */
export interface PictureColours {
  text: string
  background: string
  accent: string
}

/** An SVG 1.1 document, and px of what it draws. */
export interface Picture {
  svg: string
  width: number
  height: number
}

/** Px. */
const SIZES = { heading: 16, lead: 22, text: 14, note: 12 } as const
const LINE = 1.35
const PADDING = 12
const GAP = 8
const STAR = 15
const MOST_LINES = { heading: 2, text: 2, note: 1 } as const
/** As wide as a picture is drawn, at least and at most; px. */
const WIDTHS = { least: 120, most: 600 } as const
/** How high a capital is, by its size; as Helvetica has it. */
const CAPITAL = 0.72
/** Small print is drawn so much thinner than the text. */
const THIN = 0.8

/** A five-pointed star in a square of 20. */
const STAR_PATH = 'M10 1.5l2.6 5.6 6 .7-4.4 4.2 1.2 6L10 15l-5.4 3 1.2-6L1.4 7.8l6-.7z'

/** Draws what a widget says, as wide as that wants and no wider than its placement: text in whatever plain face is there. */
export function drawPicture(pictured: Pictured, wanted: number, colours: PictureColours): Picture {
  const most = Math.max(WIDTHS.least, Math.min(wanted, WIDTHS.most))
  const width = Math.round(Math.min(most, Math.max(WIDTHS.least, Math.ceil(onOneLine(pictured)) + 2 * PADDING)))
  const pen = new Pen(width, pictured.rightToLeft, colours)
  pen.lines(pictured.heading, 'heading', { bold: true })
  for (const one of pictured.rows) drawRow(pen, one)
  return { svg: pen.svg(), width, height: pen.height }
}

const STARS_WIDTH = 5 * (STAR + 2)

/** Px that it takes where no line is broken. */
function onOneLine({ heading, rows }: Pictured): number {
  const ofRow = ({ lead, stars, text, note, end }: PicturedRow) => {
    const first = [
      lead ? textWidth(lead, SIZES.lead, true) : 0,
      stars === null ? 0 : STARS_WIDTH,
      text ? textWidth(text, SIZES.text) : 0,
      // A name and its number are kept apart.
      end ? textWidth(end, SIZES.text, true) + 2 * GAP : 0,
    ].filter(Boolean)
    const gaps = Math.max(0, first.length - 1) * GAP
    return Math.max(
      first.reduce((sum, px) => sum + px, gaps),
      textWidth(note, SIZES.note),
    )
  }
  return Math.max(textWidth(heading, SIZES.heading, true), ...rows.map(ofRow)) + 1
}

function drawRow(pen: Pen, { lead, stars, text, note, end }: PicturedRow): void {
  pen.between()
  if (lead || stars !== null) {
    let at = pen.word(lead, 0, 'lead', { bold: true })
    if (stars !== null) at = pen.stars(stars, at ? at + GAP : 0)
    // What comes after it stands beside it where there is room, else below it.
    const beside = textWidth(text, SIZES.text) <= pen.room - at - GAP
    if (beside) pen.word(text, at ? at + GAP : 0, 'text', { on: 'lead' })
    pen.down(SIZES.lead)
    if (!beside) pen.lines(text, 'text')
  } else if (end) {
    const room = pen.room - textWidth(end, SIZES.text, true) - GAP
    pen.word(linesOf(text, room, 1, SIZES.text)[0] ?? '', 0, 'text')
    pen.word(end, pen.room - textWidth(end, SIZES.text, true), 'text', { bold: true, accent: true })
    pen.down(SIZES.text)
  } else pen.lines(text, 'text')
  pen.lines(note, 'note')
}

interface Stroke {
  /** Words of another size that it stands on one line with. */
  on?: keyof typeof SIZES
  bold?: boolean
  accent?: boolean
}

/** Puts marks one below the other. */
class Pen {
  private readonly marks: string[] = []
  private y = PADDING
  constructor(
    private readonly width: number,
    private readonly rightToLeft: boolean,
    private readonly colours: PictureColours,
  ) {}

  /** Px that a line has. */
  get room(): number {
    return this.width - 2 * PADDING
  }
  get height(): number {
    return Math.ceil(this.y + PADDING)
  }

  /** A little air after what is there already. */
  between(): void {
    if (this.y > PADDING) this.y += GAP
  }
  down(size: number): void {
    this.y += size * LINE
  }

  lines(text: string, of: keyof typeof MOST_LINES, stroke: Stroke = {}): void {
    for (const line of linesOf(text, this.room, MOST_LINES[of], SIZES[of], stroke.bold)) {
      this.word(line, 0, of, stroke)
      this.down(SIZES[of])
    }
  }

  /** @returns px from the line's beginning to where the word ends */
  word(text: string, at: number, of: keyof typeof SIZES, { bold, accent, on = of }: Stroke = {}): number {
    if (!text) return at
    const size = SIZES[of]
    const baseline = this.y + (SIZES[on] * LINE + SIZES[on] * CAPITAL) / 2
    const x = this.rightToLeft ? this.width - PADDING - at : PADDING + at
    this.marks.push(
      `<text x="${round(x)}" y="${round(baseline)}" font-size="${size}" fill="${accent ? this.colours.accent : this.colours.text}"` +
        `${bold ? ' font-weight="700"' : ''}${of === 'note' ? ` fill-opacity="${THIN}"` : ''}${this.rightToLeft ? ' direction="rtl"' : ''}>${escapeText(withoutControls(text))}</text>`,
    )
    return at + textWidth(text, size, bold)
  }

  stars(rating: number, at: number): number {
    const halves = Math.round(Math.min(5, Math.max(0, rating)) * 2)
    const y = this.y + (SIZES.lead * LINE - STAR) / 2
    for (let n = 0; n < 5; n++) {
      const from = at + n * (STAR + 2)
      const x = this.rightToLeft ? this.width - PADDING - from - STAR : PADDING + from
      const share = Math.min(2, Math.max(0, halves - 2 * n))
      const place = `transform="translate(${round(x)} ${round(y)}) scale(${STAR / 20})"`
      this.marks.push(`<path ${place} d="${STAR_PATH}" fill="${this.colours.accent}" fill-opacity=".25"/>`)
      if (share === 2) this.marks.push(`<path ${place} d="${STAR_PATH}" fill="${this.colours.accent}"/>`)
      // Half of it: what is left of its middle, from where the line begins.
      if (share === 1)
        this.marks.push(
          `<svg x="${round(this.rightToLeft ? x + STAR / 2 : x)}" y="${round(y)}" width="${STAR / 2}" height="${STAR}" viewBox="${this.rightToLeft ? 10 : 0} 0 10 20"><path d="${STAR_PATH}" fill="${this.colours.accent}"/></svg>`,
        )
    }
    return at + STARS_WIDTH
  }

  svg(): string {
    return (
      `<svg xmlns="http://www.w3.org/2000/svg" width="${this.width}" height="${this.height}" viewBox="0 0 ${this.width} ${this.height}" font-family="Arial, 'Liberation Sans', Helvetica, sans-serif">` +
      `<rect width="100%" height="100%" fill="${this.colours.background}"/>${this.marks.join('')}</svg>`
    )
  }
}

const round = (px: number) => Math.round(px * 100) / 100

/** XML 1.0 knows no control characters (section 2.2). */
// eslint-disable-next-line no-control-regex -- those are meant
const withoutControls = (text: string) => text.toWellFormed().replace(/[\0-\x08\x0b\x0c\x0e-\x1f\ufffe\uffff]/g, '')

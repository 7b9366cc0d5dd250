/** What a picture of a widget says, for places that take nothing else. */
export interface Pictured {
  /** '' for none. */
  heading: string
  rows: readonly PicturedRow[]
  /** The words run from right to left. */
  rightToLeft: boolean
}

export interface PicturedRow {
  /** Set large before the text; '' for none. */
  lead: string
  /** 0 to 5, drawn to the nearest half; null for none. */
  stars: number | null
  text: string
  /** In small print below it; '' for none. */
  note: string
  /** At the end of the line; '' for none. */
  end: string
  /** How all of it is said to who does not see it; '' where its words say it. */
  said: string
}

export const row = (said: Partial<PicturedRow>): PicturedRow => ({
  lead: '',
  stars: null,
  text: '',
  note: '',
  end: '',
  said: '',
  ...said,
})

/** The same as one text, for who does not see it. */
export const picturedAsText = ({ heading, rows }: Pictured): string =>
  [
    heading,
    ...rows.map(
      ({ lead, text, note, end, said }) =>
        said || [lead, [text, end].filter(Boolean).join(': '), note && `(${note})`].filter(Boolean).join(' '),
    ),
  ]
    .filter(Boolean)
    .join('. ')
    .slice(0, MOST_LETTERS)

/** A text in place of a picture is heard in one piece. */
const MOST_LETTERS = 500

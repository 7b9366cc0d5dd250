import { readFileSync, readdirSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { reviewItem } from '../../items'
import { guessReading, merge, readRows, readTable, TableError } from './file'
import { dateIn, ratingIn } from './values'

const cellsOf = (text: string) => readTable(text).rows.map(({ cells }) => cells)

describe('CSV as RFC 4180 has it, section 2', () => {
  it('1 and 2: rows end with CRLF, the last with or without one', () => {
    expect(cellsOf('a,b,c\r\naaa,bbb,ccc\r\nzzz,yyy,xxx\r\n')).toEqual([
      ['aaa', 'bbb', 'ccc'],
      ['zzz', 'yyy', 'xxx'],
    ])
    expect(cellsOf('a,b,c\r\naaa,bbb,ccc\r\nzzz,yyy,xxx')).toHaveLength(2)
  })
  it('3: the first row names the columns', () =>
    expect(readTable('field_name,field_name2,field_name3\r\naaa,bbb,ccc\r\n').heads).toEqual([
      'field_name',
      'field_name2',
      'field_name3',
    ]))
  it('5 to 7: quoted cells, with line breaks, separators and doubled quotation marks', () => {
    expect(cellsOf('h,h,h\r\n"aaa","bbb","ccc"\r\nzzz,yyy,xxx')).toEqual([
      ['aaa', 'bbb', 'ccc'],
      ['zzz', 'yyy', 'xxx'],
    ])
    expect(cellsOf('h,h,h\r\n"aaa","b\r\nbb","ccc"\r\nzzz,yyy,xxx')[0]).toEqual(['aaa', 'b\r\nbb', 'ccc'])
    expect(cellsOf('h,h,h\r\n"aaa","b""bb","ccc"')[0]).toEqual(['aaa', 'b"bb', 'ccc'])
  })
  it('lines are counted where cells hold line breaks', () =>
    expect(readTable('a,b\n"x\ny",1\nz,2\n').rows.map(({ line }) => line)).toEqual([2, 4]))
  it('a quotation mark that is not closed is said with its line', () => {
    expect(() => readTable('a,b\nx,"y\nz,2\n')).toThrow(TableError)
    expect(() => readTable('a,b\nx,1\n"z,2\n')).toThrow(/Line 3 begins a text/)
    expect(cellsOf('a,b\nx,y"z"\n')).toEqual([['x', 'y"z"']])
  })
})

// A published set of CSV files with what is in them: csv-spectrum of the npm registry.
describe('files of csv-spectrum', () => {
  const folder = dirname(createRequire(import.meta.url).resolve('csv-spectrum/package.json'))
  const names = readdirSync(join(folder, 'csvs')).map((name) => name.replace(/\.csv$/, ''))
  it.each(names)('%s', (name) => {
    const told = JSON.parse(readFileSync(join(folder, 'json', `${name}.json`), 'utf8')) as
      Record<string, string> | Record<string, string>[]
    const wanted = [told].flat() // a lone row stands there without a list
    const { heads, rows } = readTable(readFileSync(join(folder, 'csvs', `${name}.csv`), 'utf8'))
    const got = rows.map(({ cells }) => Object.fromEntries(heads.map((head, at) => [head, cells[at] ?? ''])))
    // In one pair of the set the two files give different telephone numbers: that cell is not compared.
    const cells = (all: Record<string, string>[]) =>
      all.map(({ 'Contact Phone Number': _, ...row }) => Object.values(row).map((cell) => cell.replace(/\r\n/g, '\n')))
    expect(cells(got)).toEqual(cells(wanted))
  })
})

describe('values', () => {
  it.each([
    ['5', 5, 5],
    ['4.5', 5, 4.5],
    ['4,5', 5, 4.5],
    ['4/5', 5, 4],
    ['8 out of 10', 5, 4.1],
    ['★★★☆☆', 5, 3],
    ['80 %', 5, 4.2],
    ['3 stars', 5, 3],
    ['10', 10, 5],
    ['1', 10, 1],
    ['100', 100, 5],
    ['0', 5, null],
    ['6', 5, null],
    ['11', 10, null],
    ['good', 5, null],
    ['', 5, null],
    ['5/0', 5, null],
  ])('rating %s of %i is %s', (text, best, rating) => expect(ratingIn(text, best)).toBe(rating))
  it.each([
    ['2026-03-05', 'day-first', '2026-03-05T12:00'],
    ['5.3.2026', 'day-first', '2026-03-05T12:00'],
    ['05/03/2026', 'day-first', '2026-03-05T12:00'],
    ['05/03/2026', 'month-first', '2026-05-03T12:00'],
    ['2026/3/5', 'year-first', '2026-03-05T12:00'],
    ['5.3.26', 'day-first', '2026-03-05T12:00'],
    ['2026-03-05T08:00:00+01:00', 'day-first', '2026-03-05T07:00'],
    ['2026-03-05 08:00', 'day-first', '2026-03-05T08:00'],
    ['5 March 2026', 'day-first', '2026-03-05T12:00'],
    ['Mar 5th, 2026', 'day-first', '2026-03-05T12:00'],
    ['05/03/2026 18:30', 'day-first', '2026-03-05T18:30'],
  ] as const)('%s, %s, is %s', (text, order, at) => expect(dateIn(text, order)?.slice(0, 16)).toBe(at))
  it.each(['31.4.2026', '2026-02-30', 'yesterday', '13/13/2026', '', '2026'])('%s is no date', (text) =>
    expect(dateIn(text, 'day-first')).toBeNull(),
  )
})

const read = (text: string) => {
  const table = readTable(text)
  const reading = guessReading(table)
  return { table, reading, ...readRows(table, reading) }
}

describe('what the columns are', () => {
  it('by their names, in any order and several languages', () => {
    expect(read('Datum;Sterne;Name;Bewertungstext\n3.2.2026;4;Ilse;Sehr schön hier').reading.columns).toEqual({
      date: 0,
      rating: 1,
      author: 2,
      text: 3,
    })
    expect(
      read('review_id,Reviewer Name,Star Rating,Review Date,Comment\n7,Ada,5,2026-01-02,Fine').reading.columns,
    ).toEqual({ id: 0, author: 1, rating: 2, date: 3, text: 4 })
    expect(read('Fecha\tPuntuación\tCliente\tComentario\n1/2/2026\t5\tÍñigo\tTodo muy bien').reading.columns).toEqual({
      date: 0,
      rating: 1,
      author: 2,
      text: 3,
    })
  })
  it('by what stands in them where names say nothing', () =>
    expect(
      read(
        'A,B,C\n4,"A long text about the day we had here",2026-03-01\n5,"Another long text about another day",2026-03-02',
      ).reading.columns,
    ).toEqual({ rating: 0, text: 1, date: 2 }))
  it('a name that lies is not believed', () =>
    expect(read('rating,stars,text\nwonderful,5,It was\nawful,1,It was not').reading.columns.rating).toBe(1))
  it('months first where a day tells, and the scale from the highest', () => {
    const { reading, rows } = read('date,score,text\n03/25/2026,9,One\n04/02/2026,10,Two')
    expect(reading).toMatchObject({ dates: 'month-first', best: 10 })
    expect(
      rows.map(({ entry }) => [entry.publishedAt?.slice(0, 10), entry.body.type === 'review' && entry.body.rating]),
    ).toEqual([
      ['2026-03-25', 4.6],
      ['2026-04-02', 5],
    ])
  })
})

describe('rows', () => {
  const faulty =
    'Author,Stars,Date,Text\nAda,5,2026-03-01,"Good, very good"\nBo,7 or so,2026-03-02,Fine\nCy,4,31.4.2026,Hm\nDi,,2026-03-04,\nEd,3,2026-03-05,Fine'
  it('what is wrong is said with line, column, and what stands there; nothing else is held back', () => {
    const { rows, faults } = read(faulty)
    expect(rows.map(({ line }) => line)).toEqual([2, 6])
    expect(faults.map(({ row: _, ...fault }) => fault)).toEqual([
      { line: 3, field: 'rating', column: 'Stars', shown: '7 or so', message: 'is no rating from 1 to 5' },
      { line: 4, field: 'date', column: 'Date', shown: '31.4.2026', message: 'is no date that is known here' },
      { line: 5, field: 'text', column: 'Text', shown: '', message: 'is empty, and so are the stars' },
    ])
  })
  it('the row is shown whole', () =>
    expect(read(faulty).faults[0]!.row).toEqual(['Bo', '7 or so', '2026-03-02', 'Fine']))
  it('a row with more columns than there are names', () =>
    expect(read('Author,Text\nAda,Good, very good').faults[0]).toMatchObject({
      line: 2,
      message: expect.stringContaining('3 columns') as string,
    }))
  it('markup goes, its words stay; what was kept from being a formula is itself', () => {
    const { rows } = read('text\n"<p>Good &amp; fast</p>"\n"\'=1+1 is two"\n"1 < 2 & 3"')
    expect(rows.map(({ entry }) => entry.body.text)).toEqual(['Good & fast', '=1+1 is two', '1 < 2 & 3'])
  })
})

describe('a later import', () => {
  const entries = (text: string) => read(text).rows
  const stored = (text: string) => merge([], entries(text)).entries
  it('updates by id', () => {
    const there = stored('id,author,date,text\n1,Ada,2026-03-01,Good\n2,Bo,2026-03-01,Fine')
    const next = merge(
      there,
      entries('id,author,date,text\n2,Bo,2026-03-01,Finer\n3,Cy,2026-03-02,New\n1,Ada,2026-03-01,Good'),
    )
    expect(next).toMatchObject({ added: 1, changed: 1, same: 1 })
    expect(next.entries.map(({ key, body }) => [key, body.text])).toEqual([
      ['id:2', 'Finer'],
      ['id:3', 'New'],
    ])
  })
  it('else by author and day, whatever the letters’ case and whoever typed it', () => {
    const { id: _, ...typed } = reviewItem('x:y', {
      author: 'Ada Moy',
      publishedAt: '2026-03-01T09:00:00.000Z',
      text: 'Good',
    })
    const next = merge(
      [{ ...typed, key: 'typed-1' }],
      entries('author,date,text\nADA MOY,2026-03-01,Very good\nAda Moy,2026-03-02,Again'),
    )
    expect(next).toMatchObject({ added: 1, changed: 1 })
    expect(next.entries.map(({ key }) => key)).toEqual(['typed-1', 'by:ada moy|2026-03-02'])
  })
  it('two of one author on one day are two, now and later', () => {
    const text = 'author,date,text\nGuest,2026-03-01,One\nGuest,2026-03-01,Two'
    expect(new Set(stored(text).map(({ key }) => key)).size).toBe(2)
    expect(merge(stored(text), entries(text))).toMatchObject({ added: 0, changed: 0, same: 2 })
  })
  it('without author or day by its words', () =>
    expect(merge(stored('text\nGood\nFine'), entries('text\nFine\nNew'))).toMatchObject({
      added: 1,
      changed: 0,
      same: 1,
    }))
})

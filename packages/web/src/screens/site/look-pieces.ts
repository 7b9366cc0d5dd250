import type { Answer, routes } from '@pebblestrand/contract'
import type { SiteDetail } from '../../api/types'

export type ReadLook = Answer<typeof routes.siteLooks.read>['look']
type Name = Exclude<keyof ReadLook, 'fontFaces'>

export interface Piece {
  name: Name
  label: string
  value: string | number
  says: string
  from: string
  isColour: boolean
  /** What is noted, where that is another. */
  before: string
}

const labels: Record<Name, string> = {
  bodyFont: 'Text font',
  headingFont: 'Heading font',
  text: 'Text',
  background: 'Background',
  accent: 'Accent',
  link: 'Links',
  heading: 'Headings',
  button: 'Buttons',
  buttonText: 'Words on buttons',
  radius: 'Corners',
  contentWidth: 'Content width',
  spacing: 'Spacing',
}

const shown = (name: Name, value: string | number) =>
  name.endsWith('Font')
    ? String(value).split(',')[0]!.replace(/["']/g, '')
    : typeof value === 'number'
      ? `${value} px`
      : value

/** Every piece that could be read, with what is noted of it now. */
export const piecesOf = (look: ReadLook, noted: SiteDetail['look']): Piece[] =>
  (Object.keys(labels) as Name[]).flatMap((name) => {
    const taken = look[name]
    if (!taken) return []
    const value = typeof taken.value === 'number' ? Math.round(taken.value) : taken.value
    const before = noted?.[name]
    const isSame = before === undefined || shown(name, before) === shown(name, value)
    return [
      {
        name,
        label: labels[name],
        value,
        says: shown(name, value),
        from: taken.from,
        isColour: typeof value === 'string' && value.startsWith('#'),
        before: isSame ? '' : shown(name, before),
      },
    ]
  })

import type { EditorBox } from './profile'

type Treatment = EditorBox['treats']

/** A box that leaves markup as it is. */
export const keepsAll: Treatment = {
  element: 'keeps',
  data: 'keeps',
  style: 'keeps',
  script: 'keeps',
  frame: 'keeps',
  picture: 'keeps',
  address: 'text',
  shortcode: 'text',
}

/** A box that shows markup as words. */
export const showsAsWords: Treatment = {
  element: 'escapes',
  data: 'escapes',
  style: 'escapes',
  script: 'escapes',
  frame: 'escapes',
  picture: 'escapes',
  address: 'text',
  shortcode: 'text',
}

/** A box for an address, which takes nothing else. */
export const takesAddressOnly = (address: Treatment['address']): Treatment => ({
  element: 'strips',
  data: 'strips',
  style: 'strips',
  script: 'strips',
  frame: 'strips',
  picture: 'strips',
  address,
  shortcode: 'strips',
})

/** What a profile leaves out of a box. */
const usual = { ownFrame: null, everyPage: false, who: 'editors', most: null, quotes: 'straight', note: null } as const

type Given = Pick<EditorBox, 'id' | 'name' | 'places' | 'treats'> & Partial<EditorBox>

/** A box as a profile writes it: what is not said is as in most editors. */
export const box = (given: Given): EditorBox => ({ ...usual, ...given })

/** The field of every platform that lets its owner write into the head of all pages. */
export const headBox = (name: string, given: Partial<EditorBox> = {}): EditorBox =>
  box({ id: 'head', name, places: ['head'], treats: keepsAll, everyPage: true, who: 'owners', ...given })

import type { Region } from '../../platforms'

/** By what a place on a page is known, the strongest first; the words follow "known" in a sentence. */
export const knownBy = {
  mark: 'by its mark',
  box: 'from where a browser draws it',
  landmarks: 'by the landmarks of the page',
  structure: 'from how the page is built',
  words: 'by the names of its parts',
} as const

export type KnownBy = keyof typeof knownBy

/** A region that begins at an element, and by what it is known. */
export interface Label {
  region: Region
  by: KnownBy
}

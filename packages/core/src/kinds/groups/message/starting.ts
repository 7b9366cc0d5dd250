import { BUTTON, type Button, type Goal } from './settings'

/** A button to begin with. */
export const button = (words: string, goes: Goal, to = ''): Button => ({ ...BUTTON, words, goes, to })

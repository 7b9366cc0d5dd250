import { fixedBeginning } from '@pebblestrand/core/page-patterns'

/** A page's address for a visitor; a pattern is looked at by its fixed beginning. */
export const addressOf = ({ origin, path }: { origin: string; path: string }) => origin + fixedBeginning(path)

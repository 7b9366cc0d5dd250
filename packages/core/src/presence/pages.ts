import { matchesPattern } from '../page-patterns'
import type { PresenceRules } from './rules'

/** Whether its rules let it appear at a path. */
export const mayAppearAt = ({ pages, notPages }: Pick<PresenceRules['audience'], 'pages' | 'notPages'>, path: string) =>
  !notPages.some((one) => matchesPattern(one, path)) &&
  (pages.length === 0 || pages.some((one) => matchesPattern(one, path)))

/**
 * Where something over the page can be tried out: a path at which it should appear, and one at which it should not.
 * @param on the pattern of paths that it is brought to
 * @param paths of pages of the site, the one to prefer first
 * @returns null for what there is none of
 */
export function pagesToTry(
  { audience }: Pick<PresenceRules, 'audience'>,
  on: string,
  paths: readonly string[],
): { within: string | null; outside: string | null } {
  const isBrought = (path: string) => matchesPattern(on, path)
  const within = paths.find((path) => isBrought(path) && mayAppearAt(audience, path)) ?? null
  // Where it is brought and held back by its rules alone, they are what is tried.
  const barred = paths.filter((path) => !isBrought(path) || !mayAppearAt(audience, path))
  return { within, outside: barred.find(isBrought) ?? barred[0] ?? null }
}

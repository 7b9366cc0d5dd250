import { upTo, withoutTrailingLetter } from '../text'
// Paths with blanks, as WHATWG URL Pattern writes a pathname: `*`, `:name`, and groups in braces with `?`, `*` or `+`. Regular
// expressions of one's own, which it knows too, are left out: they would run on every page of a client's site.

/** Letters of a path that regular expressions read otherwise. */
const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&')

/** One segment, as a blank without more stands for (URL Pattern, "default regexp value" of a pathname). */
const SEGMENT = '[^\\/]+?'

const TOKEN = /\*|:([\p{ID_Start}$_][\p{ID_Continue}$_\u200c\u200d]*)|\{([^{}]*)\}([?*+]?)|\\(.)|[^*:{}\\()?+]+|./gsu

const isPlain = (path: string) => !/[*:{}\\()?+]/.test(path)

/** Whether a path stands for more than one page. */
export const isPattern = (path: string) => !isPlain(path)

/** What comes before the first blank of a pattern: where it can be looked at; the whole of a plain path. */
export const fixedBeginning = (path: string): string => upTo(path, '*:{\\(') || '/'

/** What is wrong with a pattern, as words that can follow "must": null where nothing is. */
export function patternProblem(path: string): string | null {
  if (!path.startsWith('/') && !path.startsWith('{/')) return 'begin with /'
  if (/[\s?#]/.test(path.replace(/\}\?/g, '}').replace(/(:[\p{ID_Continue}$_]+)\?/gu, '$1')))
    return 'have no spaces, ? or #'
  if (/[()]/.test(path)) return 'have no expressions in parentheses'
  if (/\{[^}]*\{|\}[^{]*\}/.test(path) || (path.match(/\{/g)?.length ?? 0) !== (path.match(/\}/g)?.length ?? 0))
    return 'close each { with a }, not one within another'
  const names = [...path.matchAll(/:([\p{ID_Start}$_][\p{ID_Continue}$_]*)/gu)].map(([, name]) => name)
  if (new Set(names).size !== names.length) return 'name each blank once'
  if (/:(?![\p{ID_Start}$_])/u.test(path)) return 'have a name after each :'
  if ((path.match(/[*+]/g)?.length ?? 0) > MOST.open)
    return `have ${MOST.open} blanks or fewer that may be of any length`
  return (path.match(/[:{]/g)?.length ?? 0) > MOST.blanks ? `have ${MOST.blanks} blanks or fewer` : null
}

/** More would let a regular expression run for long: each that is open takes as many steps more as the path has letters. */
const MOST = { open: 3, blanks: 6 }

/**
 * A path or pattern as the source of a regular expression that is held against a pathname. A plain path is the same with a slash
 * at its end.
 * @throws SyntaxError where `patternProblem` finds one
 */
export function patternSource(path: string): string {
  const problem = patternProblem(path)
  if (problem) throw new SyntaxError(`A page's path must ${problem}.`)
  return wholeOf(path)
}

const wholeOf = (path: string): string =>
  isPlain(path) ? `^${escaped(withoutTrailingLetter(path, '/'))}\\/?$` : `^${sourceOf(path)}$`

/** In a pathname a blank takes the slash before it along when it may be left out or come again. */
function sourceOf(text: string): string {
  let source = ''
  const tokens = [...text.matchAll(TOKEN)]
  for (let at = 0; at < tokens.length; at++) {
    const [whole, name, group, times, literal] = tokens[at]!
    if (whole === '*') source += '.*'
    else if (name !== undefined) {
      const modifier = /^[?*+]$/.test(tokens[at + 1]?.[0] ?? '') ? tokens[++at]![0] : ''
      const led = modifier && source.endsWith('\\/')
      if (led) source = source.slice(0, -2)
      source += blank(led ? '\\/' : '', modifier)
    } else if (group !== undefined) source += times ? `(?:${sourceOf(group)})${times}` : `(?:${sourceOf(group)})`
    else source += escaped(literal ?? whole)
  }
  return source
}

function blank(lead: string, modifier: string): string {
  if (!modifier) return `(?:${SEGMENT})`
  if (modifier === '?') return `(?:${lead}(?:${SEGMENT}))?`
  const again = `${lead}(?:${SEGMENT})(?:${lead || ''}(?:${SEGMENT}))*`
  return modifier === '+' ? `(?:${again})` : `(?:${again})?`
}

/**
 * Whether a pathname is one of those that a path or pattern stands for; one in which `patternProblem` finds something stands for
 * none. Without looking for that: visitors download this, and what reaches them was looked at before.
 */
export const matchesPattern = (path: string, pathname: string): boolean => compiled(path)?.test(pathname) ?? false

/** What was compiled; so many are kept, since the same ones are tried again and again. */
const known = new Map<string, RegExp | null>()
const MOST_KNOWN = 1000

function compiled(path: string): RegExp | null {
  if (known.size > MOST_KNOWN) known.clear()
  if (!known.has(path)) known.set(path, compile(path))
  return known.get(path) ?? null
}

function compile(path: string): RegExp | null {
  try {
    return new RegExp(wholeOf(path), 'u')
  } catch {
    return null
  }
}

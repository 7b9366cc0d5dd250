import { readingOf, sourceOf, type Item, type ItemBody } from '../items'
import { folded, mentionsAnyFolded } from './keywords'

/** One rule of a sieve. `cap` keeps the first so many, `pinned` puts some to the front; every other rule looks at one item at a time. */
export type Rule =
  | { kind: 'unique' }
  | { kind: 'include'; words: string[] }
  | { kind: 'exclude'; words: string[] }
  | { kind: 'with-text' }
  | { kind: 'with-picture' }
  | { kind: 'not-older'; days: number }
  | { kind: 'hidden'; ids: string[] }
  | { kind: 'rating-from'; stars: number; unrated: 'kept' | 'out' }
  | { kind: 'authors-out'; names: string[] }
  | { kind: 'language'; languages: string[] }
  | { kind: 'labels'; labels: string[] }
  /** Source to how many of its items at most; of those not named, all. */
  | { kind: 'per-source'; mosts: Record<string, number> }
  | { kind: 'pinned'; ids: string[] }
  | { kind: 'cap'; most: number }

export type RuleKind = Rule['kind']

export interface RuleDefinition<R extends Rule> {
  /** What the rule lets through, as a label under its count. */
  label(rule: R): string
  /** A fresh test for one run; it may remember what it saw. */
  test(rule: R, now: Date): (item: Item, index: number) => boolean
  /** Another order of what came in. */
  arrange?(rule: R, items: readonly Item[]): Item[]
  /** Lets other items through when a day has passed. */
  daily?: true
}

/** What a body says, folded once: rules are changed many times over the same items. */
const known = new WeakMap<ItemBody, string>()
function foldedBody(body: ItemBody): string {
  const there = known.get(body)
  if (there !== undefined) return there
  const words = readingOf(body).words(body).split('\n').map(folded).join('\n')
  known.set(body, words)
  return words
}

const wordsOf = ({ body, labels }: Item) =>
  labels.length ? `${foldedBody(body)}\n${labels.map(folded).join('\n')}` : foldedBody(body)
/** What makes two items the same: of reviews their words and who said them, from whichever source; else where they lead. */
function sameAs({ id, link, author, body }: Item): string {
  if (body.type === 'review') return body.text && author ? saidBy(author, body) : id
  return link ?? id
}

const authors = new WeakMap<ItemBody, { author: string; name: string; key: string | null }>()
/** An author's name, folded once for what he or she said. */
function foldedAuthor(author: string, body: ItemBody): { author: string; name: string; key: string | null } {
  const there = authors.get(body)
  if (there?.author === author) return there
  const made = { author, name: folded(author), key: null }
  authors.set(body, made)
  return made
}

/** An author and what he or she said, as one text. */
function saidBy(author: string, body: ItemBody): string {
  const known = foldedAuthor(author, body)
  return (known.key ??= `${known.name}\n${foldedBody(body)}`)
}

/** "pt-BR" is Portuguese; nothing is known of an item that says nothing. */
const primary = (tag: string) => (/^[a-z]{2,3}$/.test(tag) ? tag : tag.split('-')[0]!.toLowerCase())

const list = (words: string[]) => (words.length > 2 ? `${words.slice(0, 2).join(', ')} …` : words.join(' or '))
const DAY = 86_400_000

export const ruleKinds: { [K in RuleKind]: RuleDefinition<Extract<Rule, { kind: K }>> } = {
  unique: {
    label: () => 'no doubles',
    test: () => {
      const seen = new Set<string>()
      return (item) => {
        const key = sameAs(item)
        return !seen.has(key) && !!seen.add(key)
      }
    },
  },
  include: {
    label: (rule) => `mention ${list(rule.words)}`,
    test: (rule) => {
      const mentions = mentionsAnyFolded(rule.words)
      return (item) => mentions(wordsOf(item), item.language)
    },
  },
  exclude: {
    label: (rule) => `without ${list(rule.words)}`,
    test: (rule) => {
      const mentions = mentionsAnyFolded(rule.words)
      return (item) => !mentions(wordsOf(item), item.language)
    },
  },
  'with-text': {
    label: () => 'with text',
    test:
      () =>
      ({ body }) =>
        readingOf(body).hasText(body),
  },
  'with-picture': {
    label: () => 'with a picture',
    test:
      () =>
      ({ body }) =>
        readingOf(body).picture(body) !== null,
  },
  'not-older': {
    daily: true,
    label: (rule) => `${rule.days} days old at most`,
    test: (rule, now) => {
      const oldest = new Date(now.getTime() - rule.days * DAY).toISOString()
      return (item) => item.publishedAt === null || item.publishedAt >= oldest
    },
  },
  hidden: {
    label: () => 'not hidden',
    test: (rule) => {
      const ids = new Set(rule.ids)
      return (item) => !ids.has(item.id)
    },
  },
  'rating-from': {
    label: (rule) => (rule.stars >= 5 ? '5 stars' : `${rule.stars} stars and up`),
    test: (rule) => (item) => {
      const rating = readingOf(item.body).rating(item.body)
      return rating === null ? rule.unrated === 'kept' : rating >= rule.stars
    },
  },
  'authors-out': {
    label: (rule) => `not by ${list(rule.names)}`,
    test: (rule) => {
      const names = new Set(rule.names.map(folded))
      return ({ author, body }) => author === null || !names.has(foldedAuthor(author, body).name)
    },
  },
  language: {
    label: (rule) => `in ${list(rule.languages)}`,
    test: (rule) => {
      const wanted = new Set(rule.languages.map(primary))
      return ({ language }) => language === null || wanted.has(primary(language))
    },
  },
  labels: {
    label: (rule) => `labelled ${list(rule.labels)}`,
    test: (rule) => {
      const wanted = new Set(rule.labels.map(folded))
      return ({ labels }) => labels.some((label) => wanted.has(folded(label)))
    },
  },
  'per-source': {
    label: () => 'so many from each source',
    test: ({ mosts }) => {
      const counts = new Map<string, number>()
      return ({ id }) => {
        const source = sourceOf(id)
        const count = (counts.get(source) ?? 0) + 1
        counts.set(source, count)
        return count <= (mosts[source] ?? Infinity)
      }
    },
  },
  pinned: {
    label: () => 'some put first',
    test: () => () => true,
    arrange: (rule, items) => {
      const ids = new Set(rule.ids)
      const there = new Map(items.filter(({ id }) => ids.has(id)).map((item) => [item.id, item]))
      return [...rule.ids.flatMap((id) => there.get(id) ?? []), ...items.filter(({ id }) => !ids.has(id))]
    },
  },
  cap: { label: (rule) => `the first ${rule.most}`, test: (rule) => (_item, index) => index < rule.most },
}

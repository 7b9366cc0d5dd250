import { readingOf, type Item } from '../items'
import { mentionsAny } from './keywords'

/** One rule of a sieve. `cap` keeps the first so many; every other rule looks at one item at a time. */
export type Rule =
  | { kind: 'unique' }
  | { kind: 'include'; words: string[] }
  | { kind: 'exclude'; words: string[] }
  | { kind: 'with-text' }
  | { kind: 'with-picture' }
  | { kind: 'not-older'; days: number }
  | { kind: 'hidden'; ids: string[] }
  | { kind: 'cap'; most: number }

export type RuleKind = Rule['kind']

interface RuleDefinition<R extends Rule> {
  /** What the rule lets through, as a label under its count. */
  label(rule: R): string
  /** A fresh test for one run; it may remember what it saw. */
  test(rule: R, now: Date): (item: Item, index: number) => boolean
}

const wordsOf = ({ body, labels }: Item) => `${readingOf(body).words(body)}\n${labels.join('\n')}`
const list = (words: string[]) => (words.length > 2 ? `${words.slice(0, 2).join(', ')} …` : words.join(' or '))
const DAY = 86_400_000

export const ruleKinds: { [K in RuleKind]: RuleDefinition<Extract<Rule, { kind: K }>> } = {
  unique: {
    label: () => 'no doubles',
    test: () => {
      const seen = new Set<string>()
      return (item) => {
        const key = item.link ?? item.id
        return !seen.has(key) && !!seen.add(key)
      }
    },
  },
  include: {
    label: (rule) => `mention ${list(rule.words)}`,
    test: (rule) => {
      const mentions = mentionsAny(rule.words)
      return (item) => mentions(wordsOf(item))
    },
  },
  exclude: {
    label: (rule) => `without ${list(rule.words)}`,
    test: (rule) => {
      const mentions = mentionsAny(rule.words)
      return (item) => !mentions(wordsOf(item))
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
  cap: { label: () => 'shown', test: (rule) => (_item, index) => index < rule.most },
}

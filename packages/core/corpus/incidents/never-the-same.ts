import { type Incident } from './pieces'

const restless = (n: number) => (html: string) =>
  html
    .replace(/<a href="\//, `<a href="/s/${n}a${n * 7}f/`)
    .replace(
      '</body>',
      `<p>Visitors: ${4711 + n}</p><img src="/count/${n}.gif" alt="${4711 + n}"><p>It is 10:0${n}:${n}1</p><p>What is ${n} + ${n + 3}?</p></body>`,
    )

export const never: Incident[] = [
  {
    name: 'never the same twice, saved and not published',
    before: (s) => restless(1)(s.empty),
    looks: (s) => [restless(2)(s.empty), restless(3)(s.empty)],
    says: ['unpublished'],
  },
  {
    name: 'never the same twice, changed',
    before: (s) => restless(1)(s.empty),
    looks: (s) => [restless(2)(s.with('<p>A line more.</p>')), restless(3)(s.with('<p>A line more.</p>'))],
    says: ['absent'],
  },
  { name: 'saved and not published', before: (s) => s.empty, looks: (s) => [s.empty, s.empty], says: ['unpublished'] },
  {
    name: 'changed, and not there',
    before: (s) => s.empty,
    looks: (s) => [s.with('<p>Another line.</p>')],
    says: ['absent'],
  },
  {
    name: 'handed over, untouched',
    before: (s) => s.empty,
    looks: (s) => [s.empty],
    plan: { status: 'handed-over' },
    says: ['absent'],
  },
]

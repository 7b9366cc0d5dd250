import { snippet } from '../site'
import { inline, type Incident } from './pieces'

export const others: Incident[] = [
  {
    name: 'another in its place',
    looks: (s) => [s.with(snippet('inline', 'zz9zz-zz9zz-zz9zz'))],
    plan: { others: [{ install: 'zz9zz-zz9zz-zz9zz', name: 'Deck photos' }] },
    says: ['other-widget'],
  },
  { name: 'twice', looks: (s) => [s.with(inline + inline)], says: ['double'] },
  { name: 'once in its place, once elsewhere', looks: (s) => [s.both(inline, inline)], says: ['double'] },
  { name: 'in another place', looks: (s) => [s.elsewhere(inline)], says: ['wrong-placement'] },
  { name: 'in the head', looks: (s) => [s.empty.replace('</head>', `${inline}</head>`)], says: ['inert'] },
]

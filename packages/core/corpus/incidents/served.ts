import { install, snippet } from '../site'
import { element, escaped, frame, framed, inline, leaving, wrapped, type Incident } from './pieces'

export const served: Incident[] = [
  {
    name: 'served twice, mended past the cache',
    looks: (s) => [s.with(inline + inline), s.with(inline)],
    says: ['cached-copy'],
  },
  {
    name: 'served in another place, moved since',
    looks: (s) => [s.elsewhere(inline), s.with(inline)],
    says: ['cached-copy'],
  },
  {
    name: 'served without its script, mended since',
    looks: (s) => [s.with(element), s.with(inline)],
    says: ['cached-copy'],
  },
  {
    name: 'served from the old address, mended since',
    looks: (s) => [s.with(snippet('inline', install, 'https://old.example')), s.with(inline)],
    says: ['cached-copy'],
  },
  {
    name: 'served unsized, sized since',
    looks: (s) => [s.with(frame.replace('width="300"', '')), s.with(frame)],
    plan: framed,
    says: ['cached-copy'],
  },
  {
    name: 'served as code, mended since',
    looks: (s) => [s.with(wrapped('p', escaped(inline))), s.with(inline)],
    says: ['cached-copy'],
  },
  {
    name: 'code served beside the widget, taken out since',
    looks: (s) => [s.both(inline, wrapped('p', escaped(inline))), s.with(inline)],
    says: ['cached-copy'],
  },
  { name: 'not yet served', looks: (s) => [s.empty, s.with(inline)], says: ['cached-copy'] },
  { name: 'bad in both', looks: (s) => [s.with(element), s.with(element)], says: ['script-stripped'] },
  { name: 'taken out since, still served', looks: (s) => [s.with(inline), s.empty], says: ['absent'] },
  { name: 'well in both', looks: (s) => [s.with(inline), s.with(inline)], says: [] },
  { name: 'to be gone, still served', looks: (s) => [s.with(inline), s.empty], plan: leaving, says: ['cached-copy'] },
  { name: 'to be gone, gone from both', looks: (s) => [s.empty, s.empty], plan: leaving, says: [] },
]

import type { Starter } from '../kind'
import type { HeadlinesSettings } from './settings'

/** Ready designs to begin from; each changes only what makes it that design. */
export const headlinesStarters: Starter<HeadlinesSettings>[] = [
  {
    id: 'sidebar-list',
    name: 'Sidebar list',
    settings: { count: 4, layout: 'list', picture: 'none', excerpt: 0, gap: 12 },
  },
  {
    id: 'list-with-pictures',
    name: 'List with pictures',
    settings: { count: 5, layout: 'list', picture: 'left', excerpt: 100, gap: 20 },
  },
  {
    id: 'three-across',
    name: 'Three across',
    settings: { count: 3, layout: 'grid', columns: 3, picture: 'top', excerpt: 120, gap: 24 },
  },
]

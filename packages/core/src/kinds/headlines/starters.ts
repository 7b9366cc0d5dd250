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
  {
    id: 'lead-story',
    name: 'One large, four small',
    settings: { count: 5, layout: 'large-first', columns: 4, picture: 'top', excerpt: 80, gap: 20 },
  },
  {
    id: 'framed-note',
    name: 'Framed, with how long ago',
    settings: {
      count: 3,
      layout: 'list',
      picture: 'none',
      excerpt: 60,
      gap: 12,
      borderWidth: 1,
      radius: 8,
      dateStyle: 'ago',
    },
  },
]

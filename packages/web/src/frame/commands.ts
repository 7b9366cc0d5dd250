import type { Router } from 'vue-router'
import { checkEverything } from '../queries/today'

/** What can be done from the find-or-do field, beside going somewhere. */
export const commands: { id: string; name: string; run(router: Router): Promise<unknown> }[] = [
  {
    id: 'check-everything',
    name: 'Check everything',
    run: async (router) => {
      await checkEverything()
      await router.push('/today')
    },
  },
  { id: 'new-widget', name: 'Make a widget', run: (router) => router.push('/widgets?new=1') },
  { id: 'new-site', name: 'Add a site', run: (router) => router.push('/sites?new=1') },
  { id: 'sources', name: 'Look at the sources', run: (router) => router.push('/sources') },
  { id: 'answers', name: 'Read what visitors wrote', run: (router) => router.push('/results/leads') },
  { id: 'removed', name: 'Bring back what was removed', run: (router) => router.push('/removed') },
  { id: 'faults', name: 'Show what needs a hand', run: (router) => router.push('/installs?status=needs-a-hand') },
]

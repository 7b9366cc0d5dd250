import { z } from 'zod'
import { route } from './route'

export const Found = z.object({
  sort: z.enum(['site', 'widget', 'page', 'install']),
  id: z.uuid(),
  name: z.string(),
  more: z.string(),
  siteId: z.uuid().nullable(),
})

export const findRoutes = {
  find: route({
    method: 'GET',
    path: '/api/find',
    may: 'member',
    summary: 'Sites, widgets, pages and installs by name',
    query: z.object({ q: z.string().trim().min(1).max(100) }),
    answer: z.object({ rows: z.array(Found) }),
  }),
}

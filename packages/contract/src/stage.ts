import { z } from 'zod'
import { route } from './route'

export const stageRoutes = {
  page: route({
    method: 'GET',
    path: '/stage/page',
    may: 'member',
    summary:
      'A client’s page as it was last looked at, with a room in one placement, for a widget where it stands or would; nothing of it runs',
    query: z.object({ pageId: z.uuid(), placementId: z.uuid(), widgetId: z.uuid().optional() }),
    answer: z.string(),
    file: true,
  }),
}

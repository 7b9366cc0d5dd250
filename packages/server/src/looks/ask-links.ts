import type { Sight } from '@pebblestrand/core/verify'
import { OutboundError, type Outbound } from '../platform/outbound/client'

/** Links of one page that are asked for: enough for a list, no load for anyone. */
const MOST = 12

/** What says for certain that nothing is there. Refusals to programs, names that are not found now, and trouble that may pass say nothing of that. */
const GONE = new Set([404, 410])

/**
 * Asks for what the widgets of a page link to, and notes with each what leads nowhere.
 * @param own this Pebblestrand, which is not asked
 */
export async function askLinks(outbound: Outbound, sights: readonly Sight[], own: string): Promise<void> {
  const widgets = sights.flatMap((sight) => sight.widgets)
  const links = [...new Set(widgets.flatMap((widget) => widget.links))].filter((url) => !url.startsWith(`${own}/`))
  const problems = new Map<string, string>()
  await Promise.all(
    links.slice(0, MOST).map(async (url) => {
      const problem = await problemAt(outbound, url)
      if (problem) problems.set(url, problem)
    }),
  )
  for (const widget of widgets)
    widget.broken = widget.links.flatMap((url) => {
      const problem = problems.get(url)
      return problem ? [{ url, problem }] : []
    })
}

async function problemAt(outbound: Outbound, url: string): Promise<string | null> {
  try {
    const { status } = await outbound.get(url, { accept: 'text/html,*/*;q=0.5' })
    return GONE.has(status) ? `answers ${status}` : null
  } catch (error) {
    if (error instanceof OutboundError) return null
    throw error
  }
}

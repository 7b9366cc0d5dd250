import { boxFor } from './advise'
import type { Method } from './method'
import type { PlatformProfile, StepId } from './profiles'
import type { Region } from './region'

export interface Step {
  id: StepId
  /** Words with what stands on that site's screen marked. */
  parts: { text: string; strong: boolean }[]
}

export interface StepContext {
  page: string
  region: Region
  method: Method
  /** How long the site keeps pages, minutes; 0 where it keeps none. */
  cacheMinutes: number
}

/** A platform's steps for one install. A site without a cache has no step to clear one. */
export function stepsFor(profile: PlatformProfile, context: StepContext): Step[] {
  const fill: Record<string, string> = {
    page: context.page,
    region: context.region,
    box: boxFor(profile, context.region, context.method)?.name ?? 'box that takes HTML',
    cache: `It keeps pages up to ${duration(context.cacheMinutes)}.`,
  }
  return profile.steps
    .filter((step) => step.id !== 'cache' || context.cacheMinutes > 0)
    .map((step) => ({ id: step.id, parts: parts(step.does, fill) }))
}

function parts(template: string, fill: Record<string, string>): Step['parts'] {
  return template
    .split('**')
    .map((piece, index) => ({
      text: piece.replace(/\{(\w+)\}/g, (whole, name: string) => fill[name] ?? whole),
      strong: index % 2 === 1,
    }))
    .filter((part) => part.text)
}

/** Minutes as "45 min", "6 h", "2 h 30 min"; from two days on as "7 days", "3 days 4 h". */
export function duration(minutes: number): string {
  const days = minutes >= 2 * 1440 ? Math.floor(minutes / 1440) : 0
  const [h, min] = [Math.floor((minutes - days * 1440) / 60), Math.round(minutes % 60)]
  return [days && `${days} days`, h && `${h} h`, (min && !days) || !(h || days) ? `${min} min` : '']
    .filter(Boolean)
    .join(' ')
}

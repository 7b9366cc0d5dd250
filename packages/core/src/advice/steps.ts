import { boxFor } from './advise'
import type { MethodId } from '../methods'
import type { PlatformProfile, Region, StepId } from '../platforms'
import { duration } from '../words'

export interface Step {
  id: StepId
  /** Words with what stands on that site's screen marked. */
  parts: { text: string; strong: boolean }[]
}

export interface StepContext {
  page: string
  region: Region
  method: MethodId
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

import { fixedBeginning, isPattern } from '../page-patterns'
import type { PlatformProfile, StepId } from '../platforms'
import { duration } from '../words'
import { tallest, type DrawnSizes } from './drawn-size'

export interface Step {
  id: StepId
  /** Words with what stands on that site's screen marked. */
  parts: { text: string; strong: boolean }[]
}

export interface StepContext {
  /** Its title, and its path or pattern of paths. */
  page: string
  path?: string
  region: string
  /** The site's tag brings it: there is nothing to paste. */
  isBrought?: boolean
  /** The editor's box, as it calls it; null where there is none. */
  box: string | null
  /** How long the site keeps pages, minutes; 0 where it keeps none. */
  cacheMinutes: number
  /** How large a frame has to be drawn for it by hand; null where nobody draws one. */
  drawn?: DrawnSizes | null
  /** Whether the site's policy must be told of us first. */
  mustAllow?: boolean
}

/** A platform's steps for one install. A site without a cache has no step to clear one, one that lets us through none to allow it. */
export function stepsFor(profile: PlatformProfile, context: StepContext): Step[] {
  const fill: Record<string, string> = {
    page: pageWords(context),
    region: context.region,
    box: context.box ?? 'box that takes HTML',
    cache: `It keeps pages up to ${duration(context.cacheMinutes)}.`,
  }
  const wanted = profile.steps.filter(({ id }) => !context.isBrought || id === 'look' || id === 'allow')
  return wanted
    .filter(({ id }) => (id !== 'cache' || context.cacheMinutes > 0) && (id !== 'allow' || context.mustAllow !== false))
    .map((step) => ({
      id: step.id,
      parts: [
        ...parts(step.does, fill),
        ...(step.id === 'paste' && context.drawn ? parts(` ${sizeWords(context.drawn)}`, {}) : []),
      ],
    }))
}

/** A pattern is no page that anybody can open. */
function pageWords({ page, path }: StepContext): string {
  if (!path || !isPattern(path)) return page
  return path === '/*' ? 'what all pages share' : `the pages below ${fixedBeginning(path)}`
}

function sizeWords(sizes: DrawnSizes): string {
  const { desktop, tablet, phone } = sizes
  const highest = tallest(sizes)
  const narrower = [
    tablet && `on tablets **${tablet.width} by ${tablet.height} px**`,
    phone && `on phones **${phone.width} by ${phone.height} px**`,
  ].filter(Boolean)
  return [
    `Draw it **${desktop.width} px wide and ${desktop.height} px high**${narrower.length ? `, ${narrower.join(', ')}` : ''}.`,
    ...(highest > desktop.height ? [`If all devices share one height, make it **${highest} px**.`] : []),
  ].join(' ')
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

import { fingerprint } from '../src/verify/fingerprint'
import type { Look } from '../src/verify/look'
import { parsePage } from '../src/verify/page'
import { Plan } from '../src/verify/plan'
import { incidents, type Got, type Incident } from './incidents'
import { install, ours, Site, skeletons, snippet, type Skeleton } from './site'
import type { FindingCode } from '../src/verify/catalogue'

/** One page of the corpus with its plan, and what is right for a practitioner. */
export interface Case {
  name: string
  plan: Plan
  looks: Look[]
  says: FindingCode[]
}

const url = 'https://ferries.example/timetable'

function look(how: 'served' | 'fresh', got: Got): Look {
  const more = typeof got === 'string' ? { html: got } : got
  return {
    how,
    url,
    finalUrl: more.url ?? url,
    status: 200,
    headers: {},
    at: '2026-11-24T12:00:00Z',
    ms: 12,
    error: null,
    ...more,
  }
}

const planFor = (region: string, more: Record<string, unknown> = {}) =>
  Plan.parse({ install, origin: ours, placement: { region, width: 300 }, url, status: 'pasted', ...more })

/** Every place of every skeleton, by element and script and by frame. */
export const places = (from: readonly Skeleton[] = skeletons) =>
  from.flatMap((skeleton) =>
    skeleton.slots.flatMap((region, at) =>
      (['inline', 'frame'] as const).map((method) => ({
        name: `${skeleton.name}, place ${at + 1} (${region}), ${method}`,
        region,
        html: skeleton.fill({ [at]: snippet(method) }),
      })),
    ),
  )

/** How many skeletons each incident happens on. */
const SITES = 3

function happen(incident: Incident, skeleton: Skeleton, at: number): Case {
  const regions = [...new Set(skeleton.slots)]
  const site = new Site(skeleton, regions[at % regions.length]!)
  const baseline = incident.before
    ? { fingerprint: fingerprint(parsePage(incident.before(site))), lastModified: null }
    : undefined
  const [served, fresh] = incident.looks(site)
  return {
    name: `${incident.name} (${skeleton.name}, ${site.region})`,
    plan: planFor(site.region, { ...(baseline ? { baseline } : {}), ...incident.plan }),
    looks: [look('served', served), ...(fresh === undefined ? [] : [look('fresh', fresh)])],
    says: incident.says,
  }
}

/** Every incident, on some of the skeletons each, in turn. */
export const cases = (from: readonly Skeleton[] = skeletons): Case[] =>
  incidents.flatMap((incident, i) =>
    Array.from({ length: SITES }, (_, n) => happen(incident, from[(i * SITES + n) % from.length]!, i + n)),
  )

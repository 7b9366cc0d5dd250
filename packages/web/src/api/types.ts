import type { PayloadBase } from '@pebblestrand/core/kinds'
import type { SiteLook } from '@pebblestrand/core/look'
import type { Advice, Method, Region, Step } from '@pebblestrand/core/snippet'
import type { Facts, Hands, InstallStatus, Proof } from '@pebblestrand/core/verify'

// What the server's answers look like. Times are ISO 8601 strings.

export interface Paged<T> {
  rows: T[]
  total: number
  page: number
  size: number
}

export interface Person {
  id: string
  name: string
  email: string
  role: 'owner' | 'member'
}

export interface PebbleOnStrand {
  id: string
  status: InstallStatus
  retiring: boolean
  widget: string
  page: string
  placement: string
}

export interface SiteRow {
  id: string
  name: string
  origin: string
  platform: string
  client: string
  keeper: string | null
  pages: number
  checkedAt: string | null
  pebbles: PebbleOnStrand[]
}

export interface Page {
  id: string
  title: string
  path: string
}

export interface Placement {
  id: string
  pageId: string | null
  name: string
  region: Region
  width: number
  selector: string | null
}

export interface InstallOnSite {
  id: string
  status: InstallStatus
  retiring: boolean
  method: Method
  pageId: string
  placementId: string
  widgetId: string
  widget: string
  kind: string
  settings: Record<string, unknown> | null
  height: number | null
  findingTitle: string | null
}

export interface SiteDetail {
  id: string
  name: string
  origin: string
  client: string
  platform: { id: string; name: string }
  cacheMinutes: number
  timeZone: string
  look: SiteLook | null
  lookedAt: string | null
  keeper: string | null
  pages: Page[]
  placements: Placement[]
  installs: InstallOnSite[]
}

export interface WidgetRow {
  id: string
  kind: string
  name: string
  draftSavedAt: string
  release: number | null
  publishedAt: string | null
  changes: number
  installs: number
  sites: number
  /** Of the newest release, else of the draft. */
  settings: Record<string, unknown>
  payload: PayloadBase
}

export interface SourceInfo {
  id: string
  title: string
  link: string | null
  url: string
  problem: { code: string; message: string; remedy: string; at: string } | null
  okAt: string | null
  intervalMinutes: number
  count?: number
  failures?: number
}

export interface Place {
  siteId: string
  site: string
  page: string | null
  placementId: string
  placement: string
  region: Region
  width: number
  look: SiteLook | null
}

export interface ReleaseInfo {
  number: number
  settings: Record<string, unknown>
  publishedAt: string
  by: string | null
}

export interface Draft {
  settings: Record<string, unknown>
  version: number
  savedAt: string
}

export interface WidgetDetail {
  id: string
  kind: string
  name: string
  starter: string | null
  draft: Draft
  releases: ReleaseInfo[]
  sources: SourceInfo[]
  places: Place[]
}

export interface FoundFeed {
  url: string
  title: string
  format: string
  count: number
  how: 'given' | 'declared' | 'linked' | 'usual'
  newest: { title: string; publishedAt: string | null; link: string | null }[]
}

export interface Tried {
  url: string
  outcome: string
}

export interface RegisterRow {
  id: string
  status: InstallStatus
  retiring: boolean
  method: Method
  plannedAt: string
  pastedAt: string | null
  checkedAt: string | null
  widgetId: string
  widget: string
  kind: string
  pageId: string
  page: string
  path: string
  siteId: string
  site: string
  origin: string
  client: string
  placementId: string
  placement: string
  region: Region
  width: number
  release: number | null
  finding: string | null
  findingTitle: string | null
}

export interface FindingInfo {
  id: string
  code: string
  hands: Hands
  title: string
  says: string
  remedy: string
  proof: Proof
}

export interface AnswerInfo {
  which: 'served' | 'fresh'
  url: string
  finalUrl: string
  status: number
  headers: Record<string, string>
  ms: number
  at: string
}

export type CheckState = 'queued' | 'served' | 'fresh' | 'judging' | 'done' | 'failed' | 'stopped'

export interface InstallDetail extends RegisterRow {
  url: string
  stepsDone: string[]
  confirmedAt: string | null
  retiredAt: string | null
  platform: string
  cacheMinutes: number
  advice: Advice
  snippets: Record<Method, string>
  steps: Step[]
  check: {
    id: string
    cause: string
    at: string
    facts: Facts | null
    statusAfter: InstallStatus
    findings: FindingInfo[]
    answers: AnswerInfo[]
  } | null
  running: { id: string; state: CheckState } | null
  timeLine: { id: string; at: string; verb: string; by: string | null; data: Record<string, unknown> }[]
}

export interface WaitingThing {
  id: string
  status: InstallStatus
  retiring: boolean
  plannedAt: string
  pastedAt: string | null
  checkedAt: string | null
  widget: string
  page: string
  path: string
  site: string
  siteId: string
  placement: string
  code: string | null
  title: string | null
  says: string | null
  remedy: string | null
  hands: Hands | null
}

export interface Round {
  id: string
  state: 'running' | 'done' | 'stopped'
  total: number
  done: number
  startedAt: string
  finishedAt: string | null
}

export interface TodayAnswer {
  waiting: WaitingThing[]
  counts: { installs: number; confirmed: number; sites: number; waiting: number; checkedAt: string | null }
  lately: {
    id: string
    at: string
    verb: string
    data: { status?: string; title?: string | null }
    installId: string
    status: InstallStatus
    retiring: boolean
    widget: string
    page: string
    site: string
  }[]
  ailing: {
    id: string
    title: string
    problem: { message: string; remedy: string }
    failures: number
    okAt: string | null
  }[]
  round: Round | null
}

export type Removable = 'site' | 'page' | 'placement' | 'widget' | 'install'

export interface RemovalRow {
  id: string
  what: Removable
  name: string
  place: string
  counts: Partial<Record<'pages' | 'placements' | 'releases' | 'installs', number>>
  removedAt: string
  by: string | null
}

export interface BroughtBack {
  what: Removable
  id: string
  siteId: string | null
  name: string
}

/** Where visitors may still see what is to be removed. */
export interface Foresight {
  what: Removable
  name: string
  standing: {
    total: number
    rows: { id: string; status: InstallStatus; widget: string; site: string; page: string; placement: string }[]
  }
  daysKept: number
}

import { readFileSync } from 'node:fs'
import { sites } from '../sites/list'
import { regionNames, type RegionName } from '../sites/site'
import { freshFrames, type FramesState } from '../frames/state'
import type { Trouble as ServiceTrouble } from '../accounts/limits'
import { freshVoices, type VoicesState } from '../voices/state'
import { writeWhole } from './write-whole'

/** What stands in an editor's boxes of one region. */
export type Boxes = Record<string, string>
export type Content = Partial<Record<RegionName | 'head', Boxes>>

/** Simulated trouble: another address, an error status, a sign-in wall, or a content security policy that allows less than it should. */
export type Trouble =
  | { kind: 'moved'; to: string }
  | { kind: 'error'; status: number }
  | { kind: 'wall' }
  | { kind: 'policy'; policy: string }

/** One editable page; the key '*' holds what all pages of a site share. */
export interface PageState {
  draft: Content
  live: Content
  /** ISO 8601. */
  publishedAt: string
  trouble: Trouble | null
}

export interface CachedPage {
  html: string
  storedAt: number
  lastModified: string
}

interface State {
  startedAt: string
  pages: Record<string, Record<string, PageState>>
  cache: Record<string, CachedPage>
  /** What owners have set at a site's desk, by host. */
  settings: Record<string, Record<string, string>>
  sessions: string[]
  voices: VoicesState
  frames: FramesState
  /** The service of films has no accounts; it can be down. */
  films: ServiceTrouble
}

const atPeace = (): ServiceTrouble => ({ outage: false, quota: { requests: 200, seconds: 10 } })

function fresh(): State {
  const at = new Date().toISOString()
  const page = (): PageState => ({ draft: {}, live: {}, publishedAt: at, trouble: null })
  return {
    startedAt: at,
    pages: Object.fromEntries(
      sites.map((site) => [
        site.host,
        Object.fromEntries(['*', ...site.pages.map((p) => p.path)].map((path) => [path, page()])),
      ]),
    ),
    cache: {},
    settings: {},
    sessions: [],
    voices: freshVoices(),
    frames: freshFrames(),
    films: atPeace(),
  }
}

/** Everything the simulated sites and services remember, in one JSON file. */
export class Store {
  private state: State

  constructor(private readonly file: string) {
    this.state = this.read() ?? fresh()
  }

  private read(): State | null {
    try {
      const state = JSON.parse(readFileSync(this.file, 'utf8')) as State
      // Pages that were added since it was written.
      const { pages } = fresh()
      for (const host of Object.keys(pages)) state.pages[host] = { ...pages[host], ...state.pages[host] }
      state.settings ??= {}
      state.voices = { ...freshVoices(), ...state.voices }
      state.frames = { ...freshFrames(), ...state.frames }
      return state
    } catch {
      return null // none yet, or half a file: begin afresh
    }
  }

  private write(): void {
    writeWhole(this.file, JSON.stringify(this.state))
  }

  get startedAt(): Date {
    return new Date(this.state.startedAt)
  }

  page(host: string, path: string): PageState | undefined {
    return this.state.pages[host]?.[path]
  }

  change(host: string, path: string, edit: (page: PageState) => void): void {
    const page = this.page(host, path)
    if (!page) return
    edit(page)
    this.write()
  }

  save(host: string, path: string, content: Content): void {
    this.change(host, path, (page) => {
      for (const region of [...regionNames, 'head'] as const)
        if (content[region]) page.draft[region] = { ...page.draft[region], ...content[region] }
    })
  }

  publish(host: string, path: string): void {
    this.change(host, path, (page) => {
      page.live = structuredClone(page.draft)
      page.publishedAt = new Date().toISOString()
    })
  }

  /** All pages of a site at once. */
  publishSite(host: string): void {
    for (const path of Object.keys(this.state.pages[host] ?? {})) this.publish(host, path)
  }

  settings(host: string): Readonly<Record<string, string>> {
    return this.state.settings[host] ?? {}
  }

  set(host: string, settings: Record<string, string>): void {
    this.state.settings[host] = { ...this.state.settings[host], ...settings }
    this.write()
  }

  cached(key: string, minutes: number): CachedPage | null {
    const hit = this.state.cache[key]
    return hit && Date.now() - hit.storedAt < minutes * 60_000 ? hit : null
  }

  remember(key: string, page: CachedPage): void {
    this.state.cache[key] = page
    const keys = Object.keys(this.state.cache)
    if (keys.length > 500) delete this.state.cache[keys[0]!]
    this.write()
  }

  emptyCache(host: string): void {
    for (const key of Object.keys(this.state.cache)) if (key.startsWith(`${host} `)) delete this.state.cache[key]
    this.write()
  }

  signIn(token: string): void {
    this.state.sessions = [...this.state.sessions, token].slice(-200)
    this.write()
  }

  signOut(token: string): void {
    this.state.sessions = this.state.sessions.filter((t) => t !== token)
    this.write()
  }

  knows(token: string | undefined): boolean {
    return token !== undefined && this.state.sessions.includes(token)
  }

  get voices(): Readonly<VoicesState> {
    return this.state.voices
  }

  changeVoices(edit: (voices: VoicesState) => void): void {
    edit(this.state.voices)
    this.write()
  }

  get frames(): Readonly<FramesState> {
    return this.state.frames
  }

  changeFrames(edit: (frames: FramesState) => void): void {
    edit(this.state.frames)
    this.write()
  }

  get films(): Readonly<ServiceTrouble> {
    return this.state.films ?? atPeace() // one that was kept before there were films
  }

  changeFilms(edit: (films: ServiceTrouble) => void): void {
    const films = { ...this.films }
    edit(films)
    this.state.films = films
    this.write()
  }

  reset(): void {
    const { sessions } = this.state
    this.state = { ...fresh(), sessions }
    this.write()
  }
}

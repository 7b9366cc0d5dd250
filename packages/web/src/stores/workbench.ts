import { routes } from '@pebblestrand/contract'
import {
  ownKeys,
  difference,
  faultsIn,
  kindOf,
  parted,
  renamed,
  settingsOf,
  toFinish,
  together,
  type Change,
  type Rendered,
  type Settings,
} from '@pebblestrand/core/kinds'
import { onSite, payloadOf, type StagePayload } from '@pebblestrand/core/artefacts'
import { defineStore } from 'pinia'
import { usualAround, type Around } from '@pebblestrand/core/kinds'
import type { SiteLook } from '@pebblestrand/core/look'
import { factsOf } from '@pebblestrand/core/sources/facts'
import { computed, ref, shallowRef, watch } from 'vue'
import { allPages } from '../api/all-pages'
import { ask } from '../api/call'
import type { Draft, SourceInfo, WidgetDetail } from '../api/types'
import { changed } from '../queries/query'
import type { BenchRendering, PlacementWidths } from '../rendering/bench-rendering'
import { benchRenderer } from '../rendering/renderer'
import { useHistory } from './history'
import { useInside } from './inside'
import { useOwnPictures } from './own-pictures'
import { plain } from './plain'
import { useDraftSaving } from './draft-saving'

const { widgets, sources: sourceRoutes } = routes

/** Where a widget is looked at: what its words hang on, the colours of the site, and the widths of the placement. */
export interface Standing {
  around: Around
  look: SiteLook | null
  widths: PlacementWidths | null
}

/** The widget on the bench: its draft, what its sources hold, and what comes of both. */
export const useWorkbench = defineStore('workbench', () => {
  const widget = ref<WidgetDetail | null>(null)
  const settings = ref<Settings>({})
  /** The same as they can be saved and drawn: of a wrong value the last good one. */
  const sound = shallowRef<Settings>({})
  const sources = ref<Record<string, SourceInfo>>({})
  /** Grows when the items of a source have come: what is rendered then is rendered anew. */
  const itemsAt = ref(0)
  /** Number of the release looked at instead of the draft; null for the draft. */
  const lookingAt = ref<number | null>(null)
  /** What was typed and is wrong. */
  const unfinished = shallowRef<Settings>({})
  const saving = useDraftSaving(() => ({ settings: sound.value, unfinished: unfinished.value }))
  const history = useHistory<Settings>()
  const standing = shallowRef<Standing>({ around: usualAround, look: null, widths: null })

  const inside = useInside(settings)

  const kind = computed(() => (widget.value ? (kindOf(widget.value.kind) ?? null) : null))
  const newest = computed(() => widget.value?.releases[0] ?? null)
  const widgetNames = computed<Record<string, string>>(() =>
    inside.value ? { [inside.value.id]: inside.value.request.widgetName } : {},
  )
  const sourceNames = computed(() => Object.fromEntries(Object.values(sources.value).map((s) => [s.id, s.title])))
  const shownSettings = computed(
    () => widget.value?.releases.find((r) => r.number === lookingAt.value)?.settings ?? sound.value,
  )
  /** The setting that names sources, and how many it takes; a kind without content has none. */
  const sourceSetting = computed(() => {
    for (const { key, meta } of kind.value ? settingsOf(kind.value) : [])
      if (meta.control.type === 'sources') return { key, most: meta.control.most }
    return null
  })
  const sourceKey = computed(() => sourceSetting.value?.key ?? null)
  const mostSources = computed(() => sourceSetting.value?.most ?? 0)
  const sourceIds = computed(() => (sourceKey.value ? ((settings.value[sourceKey.value] as string[]) ?? []) : []))

  /** Settings that are being typed may be wrong for a moment: then the last good ones stay on the stage. */
  let lastGood: Settings | null = null
  const parsed = computed<Settings | null>(() => {
    const result = kind.value?.settings.safeParse(shownSettings.value)
    if (result?.success) lastGood = result.data
    return result?.success ? result.data : lastGood
  })
  const ownPictures = useOwnPictures(kind, parsed)
  const faults = computed<Record<string, string>>(() => (kind.value ? faultsIn(kind.value, settings.value) : {}))

  const settle = (): void => {
    if (!kind.value) return
    const kept = parted(kind.value, settings.value, sound.value)
    sound.value = kept.settings
    unfinished.value = kept.unfinished
  }
  /** Settings that cannot be used as typed: they are kept, and nothing is published before they are right. */
  const wrong = computed(() =>
    kind.value
      ? toFinish(kind.value, settings.value, Object.keys(faults.value)).map((one) => ({
          ...one,
          why: faults.value[one.key]!,
        }))
      : [],
  )

  const knownSources = computed(() =>
    Object.fromEntries(
      Object.values(sources.value).map((source) => [
        source.id,
        { title: source.title, link: source.link, ...plain(factsOf(source)) },
      ]),
    ),
  )
  /** Settings of this widget's kind as they look with its content, where it is looked at. */
  const render = (wanted: Settings) =>
    benchRenderer().render({
      kind: kind.value!.id,
      settings: plain(wanted),
      widgetName: widget.value!.name,
      sources: knownSources.value,
      now: new Date().toISOString(),
      origin: location.origin,
      around: plain(standing.value.around),
      widths: plain(standing.value.widths),
      inside: plain(inside.value?.request ?? null),
      pictures: plain(ownPictures.value),
    })
  /** The same as a drawing, with the site's own colours. */
  async function draw(wanted: Settings): Promise<Pick<Rendered, 'html' | 'css' | 'font'> | null> {
    const rendering = kind.value && widget.value ? await render(wanted) : null
    return rendering && onSite(rendering.rendered, standing.value.look)
  }

  /** Rendered in a worker, a moment after a change; of several on their way the last one asked for counts. */
  const result = shallowRef<BenchRendering | null>(null)
  let asked = 0
  /** What is on the bench is still being worked out. */
  const working = ref(false)
  watch(
    [
      kind,
      parsed,
      () => widget.value?.name,
      sources,
      itemsAt,
      inside,
      ownPictures,
      () => standing.value.around,
      () => standing.value.widths,
    ],
    async () => {
      const own = ++asked
      if (!kind.value || !parsed.value || !widget.value) return void (result.value = null)
      working.value = true
      const rendering = await render(parsed.value)
      if (own !== asked) return
      result.value = rendering
      working.value = false
    },
    { deep: true },
  )
  const payload = computed<StagePayload | null>(() =>
    result.value && widget.value
      ? {
          ...payloadOf(onSite(result.value.rendered, standing.value.look), {
            release: lookingAt.value ?? newest.value?.number ?? 0,
            name: widget.value.name,
          }),
          more: result.value.rendered.more,
        }
      : null,
  )
  const changes = computed<Change[]>(() =>
    kind.value && newest.value
      ? [
          ...renamed(newest.value.name, widget.value?.name ?? newest.value.name),
          ...difference(kind.value, newest.value.settings, settings.value, { sourceNames: sourceNames.value }),
        ]
      : [],
  )

  /** A draft as it is stored, with what was typed and is unfinished. */
  function hold(draft: Draft): void {
    sound.value = plain(draft.settings)
    unfinished.value = plain(draft.unfinished)
    settings.value = together(sound.value, unfinished.value)
  }
  function take(detail: WidgetDetail): void {
    widget.value = detail
    hold(detail.draft)
    sources.value = Object.fromEntries(detail.sources.map((s) => [s.id, s]))
    saving.begin(detail.id, detail.draft)
    history.forget()
    // What was wrong when it was typed may be right by now, or be no setting any more.
    const kept = Object.keys(unfinished.value)
    if (!kept.some((key) => !(key in faults.value))) return
    settle()
    saving.changed()
  }
  let wanted = ''
  async function load(id: string): Promise<void> {
    wanted = id
    if (widget.value?.id !== id) {
      widget.value = null
      result.value = null
      lastGood = null
      lookingAt.value = null
    }
    const before = settings.value
    const detail = await ask(widgets.read, { params: { id } })
    if (wanted !== id) return // another widget was opened meanwhile
    // Come back to, it can be changed before it is read anew: what was changed stays, and is saved over what it was made of.
    if (widget.value && settings.value !== before) widget.value = detail
    else take(detail)
    await Promise.all(Object.keys(sources.value).map(loadItems))
  }
  const itemsOn = (sourceId: string, page: number) =>
    ask(sourceRoutes.items, { params: { id: sourceId }, query: { page, size: 1000 } })
  async function loadItems(sourceId: string): Promise<void> {
    await benchRenderer().keep(sourceId, await allPages((page) => itemsOn(sourceId, page)))
    itemsAt.value++
  }

  const set = (key: string, value: unknown) => setAll({ [key]: value })
  function setAll(change: Settings): void {
    history.before(settings.value, Object.keys(change).join(' '))
    settings.value = { ...settings.value, ...change }
    settle()
    saving.changed()
  }
  function replaceAll(next: Settings): void {
    history.before(settings.value, 'all')
    put(next)
  }
  function put(next: Settings): void {
    settings.value = plain(next)
    settle()
    saving.changed()
  }
  function undo(): void {
    const step = history.back(settings.value)
    if (step) put(step)
  }
  function redo(): void {
    const step = history.forward(settings.value)
    if (step) put(step)
  }

  /** What the design it began from says of every setting. */
  const starterSettings = computed<Settings>(() =>
    kind.value ? (kind.value.settings.parse({ ...widget.value?.starterSettings }) as Settings) : {},
  )
  /** Settings of a design, as they differ from the starter's: of one paragraph, or of all. */
  const sinceStarter = (paragraph?: string): string[] => {
    const own = new Set(kind.value ? ownKeys(kind.value) : [])
    return (kind.value ? settingsOf(kind.value) : [])
      .filter(({ key, meta }) => !own.has(key) && (!paragraph || meta.paragraph === paragraph))
      .map(({ key }) => key)
      .filter((key) => JSON.stringify(settings.value[key]) !== JSON.stringify(starterSettings.value[key]))
  }
  /** Look and layout of the starter come back, or one paragraph of them; where it takes its items from stays. */
  function backToStarter(paragraph?: string): void {
    const back = sinceStarter(paragraph).map((key) => [key, starterSettings.value[key]])
    replaceAll({ ...settings.value, ...(Object.fromEntries(back) as Settings) })
  }

  async function useSource(source: SourceInfo): Promise<void> {
    sources.value = { ...sources.value, [source.id]: source }
    await loadItems(source.id)
    if (!sourceKey.value || sourceIds.value.includes(source.id)) return
    // Where there is room for one alone, another takes its place.
    set(sourceKey.value, mostSources.value === 1 ? [source.id] : [...sourceIds.value, source.id])
  }
  function dropSource(id: string): void {
    if (sourceKey.value)
      set(
        sourceKey.value,
        sourceIds.value.filter((other) => other !== id),
      )
  }

  /** A source as it is after it was read anew, or is to be read at another interval. */
  async function changeSource(id: string, change: { intervalMinutes: number } | 'refresh'): Promise<void> {
    const params = { id }
    const source =
      change === 'refresh'
        ? await ask(sourceRoutes.refresh, { params })
        : await ask(sourceRoutes.change, { params, body: change })
    sources.value = { ...sources.value, [id]: source }
    if (change === 'refresh') await loadItems(id)
  }

  async function publish(note = '', despite = false): Promise<number> {
    await saving.flush()
    const { id } = widget.value!
    const { number } = await ask(widgets.publish, {
      params: { id },
      body: { version: saving.version.value, note, despite },
    })
    // The draft stays as it is here: something may have been typed meanwhile.
    const detail = await ask(widgets.read, { params: { id } })
    if (widget.value?.id === id) widget.value = detail
    await changed(widgets.list, routes.sites.read)
    return number
  }
  async function restore(release: number): Promise<void> {
    await saving.flush()
    const { id } = widget.value!
    const draft = await ask(widgets.restore, { params: { id }, body: { release, version: saving.version.value } })
    if (widget.value?.id !== id) return
    history.before(settings.value, 'release')
    hold(draft)
    saving.take(draft)
    lookingAt.value = null
    await Promise.all(sourceIds.value.map(loadItems))
  }
  async function rename(name: string): Promise<void> {
    const { id } = widget.value!
    const answer = await ask(widgets.rename, { params: { id }, body: { name } })
    if (widget.value?.id === id) widget.value.name = answer.name
    await changed(widgets.list)
  }

  /** What is to be said of its own CSS, line by line. */
  const cssNotes = (css: string) =>
    kind.value ? benchRenderer().cssNotes(kind.value.id, plain(parsed.value ?? {}), css) : Promise.resolve([])

  /** Looks whether the draft was changed elsewhere meanwhile. */
  async function lookForNewer(): Promise<'newer' | 'same' | 'conflict'> {
    if (!widget.value) return 'same'
    const { id } = widget.value
    const detail = await ask(widgets.read, { params: { id } })
    if (widget.value?.id !== id || detail.draft.version <= saving.version.value) return 'same'
    if (saving.state.value === 'saved') {
      take(detail)
      return 'newer'
    }
    saving.meet(detail.draft)
    return 'conflict'
  }
  function takeTheirs(): void {
    const draft = saving.theirs.value
    if (!draft) return
    hold(draft)
    saving.take(draft)
  }

  return {
    widget,
    settings,
    sources,
    sourceIds,
    kind,
    newest,
    sourceNames,
    widgetNames,
    lookingAt,
    parsed,
    faults,
    wrong,
    result,
    working,
    payload,
    changes,
    saving,
    load,
    set,
    setAll,
    replaceAll,
    backToStarter,
    sinceStarter,
    starterSettings,
    undo,
    redo,
    history,
    standing,
    mostSources,
    useSource,
    dropSource,
    changeSource,
    publish,
    restore,
    rename,
    cssNotes,
    draw,
    lookForNewer,
    takeTheirs,
  }
})

import { compute, difference, kindOf, type Change, type PayloadBase } from '@pebblestrand/core/kinds'
import type { Item } from '@pebblestrand/core/items'
import type { Sieved } from '@pebblestrand/core/sieve'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { get, patch, post } from '../api/call'
import type { Draft, SourceInfo, WidgetDetail } from '../api/types'
import { plain } from './plain'
import { useDraftSaving } from './draft-saving'

type Settings = Record<string, unknown>

/** The widget on the bench: its draft, what its sources hold, and what comes of both. */
export const useWorkbench = defineStore('workbench', () => {
  const widget = ref<WidgetDetail | null>(null)
  const settings = ref<Settings>({})
  const sources = ref<Record<string, SourceInfo>>({})
  const itemsBySource = shallowRef<Record<string, Item[]>>({})
  /** Number of the release looked at instead of the draft; null for the draft. */
  const lookingAt = ref<number | null>(null)
  const saving = useDraftSaving(() => settings.value)

  const kind = computed(() => (widget.value ? kindOf(widget.value.kind)! : null))
  const newest = computed(() => widget.value?.releases[0] ?? null)
  const sourceNames = computed(() => Object.fromEntries(Object.values(sources.value).map((s) => [s.id, s.title])))
  const shownSettings = computed(
    () => widget.value?.releases.find((r) => r.number === lookingAt.value)?.settings ?? settings.value,
  )

  /** Settings that are being typed may be wrong for a moment: then the last good ones stay on the stage. */
  let lastGood: Settings | null = null
  const parsed = computed<Settings | null>(() => {
    const result = kind.value?.settings.safeParse(shownSettings.value)
    if (result?.success) lastGood = result.data
    return result?.success ? result.data : lastGood
  })
  const faults = computed<Record<string, string>>(() => {
    const result = kind.value?.settings.safeParse(settings.value)
    return Object.fromEntries((result?.error?.issues ?? []).map((issue) => [String(issue.path[0]), issue.message]))
  })

  const items = computed<Item[]>(() => {
    const ids = (parsed.value?.sources as string[] | undefined) ?? []
    const several = ids.length > 1
    return ids.flatMap((id) =>
      (itemsBySource.value[id] ?? []).map((item) => (several ? { ...item, id: `${id} ${item.id}` } : item)),
    )
  })
  const result = computed<{ sieved: Sieved; payload: PayloadBase } | null>(() => {
    if (!kind.value || !parsed.value || !widget.value) return null
    const context = {
      publicId: '',
      release: lookingAt.value ?? newest.value?.number ?? 0,
      widgetName: widget.value.name,
      sources: Object.fromEntries(Object.values(sources.value).map((s) => [s.id, { title: s.title, link: s.link }])),
    }
    return compute(kind.value, parsed.value, items.value, context, new Date())
  })
  const changes = computed<Change[]>(() =>
    kind.value && newest.value
      ? difference(kind.value, newest.value.settings, settings.value, { sourceNames: sourceNames.value })
      : [],
  )

  function take(detail: WidgetDetail): void {
    widget.value = detail
    settings.value = plain(detail.draft.settings)
    sources.value = Object.fromEntries(detail.sources.map((s) => [s.id, s]))
    saving.begin(detail.id, detail.draft)
  }
  async function load(id: string): Promise<void> {
    if (widget.value?.id !== id) {
      widget.value = null
      lastGood = null
      lookingAt.value = null
    }
    take(await get<WidgetDetail>(`/api/widgets/${id}`))
    await Promise.all(Object.keys(sources.value).map(loadItems))
  }
  async function loadItems(sourceId: string): Promise<void> {
    const { items: found } = await get<{ items: Item[] }>(`/api/sources/${sourceId}/items`)
    itemsBySource.value = { ...itemsBySource.value, [sourceId]: found }
  }

  function set(key: string, value: unknown): void {
    settings.value = { ...settings.value, [key]: value }
    if (!Object.keys(faults.value).length) saving.changed()
  }
  function replaceAll(next: Settings): void {
    settings.value = plain(next)
    saving.changed()
  }
  /** The look and layout of the starter come back; what it shows stays. */
  function backToStarter(): void {
    const starter = kind.value?.starters.find((s) => s.id === widget.value?.starter)
    replaceAll({ ...kind.value!.settings.parse({ ...starter?.settings }), sources: settings.value.sources })
  }

  async function useSource(source: SourceInfo): Promise<void> {
    sources.value = { ...sources.value, [source.id]: source }
    await loadItems(source.id)
    const ids = settings.value.sources as string[]
    if (!ids.includes(source.id)) set('sources', [...ids, source.id])
  }

  /** A source as it is after it was read anew, or is to be read at another interval. */
  async function changeSource(id: string, change: { intervalMinutes: number } | 'refresh'): Promise<void> {
    const path = `/api/sources/${id}`
    const source =
      change === 'refresh' ? await post<SourceInfo>(`${path}/refresh`) : await patch<SourceInfo>(path, change)
    sources.value = { ...sources.value, [id]: source }
    if (change === 'refresh') await loadItems(id)
  }

  async function publish(): Promise<number> {
    await saving.flush()
    const { number } = await post<{ number: number }>(`/api/widgets/${widget.value!.id}/releases`, {
      version: saving.version.value,
    })
    // The draft stays as it is here: something may have been typed meanwhile.
    widget.value = await get<WidgetDetail>(`/api/widgets/${widget.value!.id}`)
    return number
  }
  async function restore(release: number): Promise<void> {
    await saving.flush()
    const draft = await post<Draft>(`/api/widgets/${widget.value!.id}/draft/restore`, {
      release,
      version: saving.version.value,
    })
    settings.value = plain(draft.settings)
    saving.take(draft)
    lookingAt.value = null
    await Promise.all((draft.settings.sources as string[]).map(loadItems))
  }
  async function rename(name: string): Promise<void> {
    const answer = await patch<{ name: string }>(`/api/widgets/${widget.value!.id}`, { name })
    widget.value!.name = answer.name
  }

  /** Looks whether the draft was changed elsewhere meanwhile. */
  async function lookForNewer(): Promise<'newer' | 'same' | 'conflict'> {
    if (!widget.value) return 'same'
    const detail = await get<WidgetDetail>(`/api/widgets/${widget.value.id}`)
    if (detail.draft.version <= saving.version.value) return 'same'
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
    settings.value = plain(draft.settings)
    saving.take(draft)
  }

  return {
    widget,
    settings,
    sources,
    kind,
    newest,
    sourceNames,
    lookingAt,
    parsed,
    faults,
    items,
    result,
    changes,
    saving,
    load,
    set,
    replaceAll,
    backToStarter,
    useSource,
    changeSource,
    publish,
    restore,
    rename,
    lookForNewer,
    takeTheirs,
  }
})

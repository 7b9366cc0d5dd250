<script setup lang="ts">
import { fitVerdict, gapsHere, mostItems, standsForSample } from '@pebblestrand/core/kinds'
import { labels, spokenLanguage } from '@pebblestrand/core/words'
import { computed, onBeforeUnmount, onMounted, provide, ref, watch } from 'vue'
import { onBeforeRouteLeave, onBeforeRouteUpdate, useRoute, useRouter } from 'vue-router'
import type { ApiError } from '../../api/error'
import { asApiError } from '../../api/error'
import { say } from '../../frame/notices'
import { onKey, onReturn } from '../../keys/keys'
import Fault from '../../parts/Fault.vue'
import Waiting from '../../parts/Waiting.vue'
import { useAgency } from '../../queries/agency'
import { placeOf } from '../../queries/sites'
import { useWorkbench } from '../../stores/workbench'
import AnswersLine from './AnswersLine.vue'
import Brief from './brief/Brief.vue'
import FindSetting from './brief/FindSetting.vue'
import { pagesKey } from './brief/pages'
import { siteSwatchesKey, swatchesOf } from './brief/site-swatches'
import { usualLabelsKey } from './brief/usual-labels'
import Compare from './Compare.vue'
import Conflict from './Conflict.vue'
import Designs from './Designs.vue'
import DraftLine from './DraftLine.vue'
import ContrastLines from './ContrastLines.vue'
import { contrasts, hintsFor, hintsKey, textContrast, type Situation } from './hints'
import OwnCss from './own-css/OwnCss.vue'
import PhraseLines from './PhraseLines.vue'
import FieldsSheet from './fields/FieldsSheet.vue'
import FitLine from './FitLine.vue'
import PublishLine from './PublishLine.vue'
import Releases from './Releases.vue'
import SieveSteps from './SieveSteps.vue'
import SourcesPanel from './sources/SourcesPanel.vue'
import Stage from './stage/Stage.vue'
import StageTabs from './stage/StageTabs.vue'
import { byItself, desktop, inAddress, inPlace, innerWidth, screens, type Setting } from './stage/widths'
import WhatToLoosen from './WhatToLoosen.vue'
import WidgetName from './WidgetName.vue'

const props = defineProps<{ id: string }>()
const bench = useWorkbench()
const route = useRoute()
const router = useRouter()
const error = ref<ApiError | null>(null)
const panel = ref<'sources' | 'compare' | 'releases' | 'css' | 'fields' | 'designs' | null>(null)
/** The release to compare with; the newest where none was chosen. */
const comparing = ref<number | undefined>()
function compare(release: number): void {
  comparing.value = release
  panel.value = 'compare'
}
const setting = ref<Setting>(byItself(desktop))

async function load(): Promise<void> {
  try {
    await bench.load(props.id)
    error.value = null
    document.title = `${bench.widget!.name} · Pebblestrand`
    await chooseFromAddress()
  } catch (e) {
    error.value = asApiError(e)
  }
}
watch(() => props.id, load, { immediate: true })

async function chooseFromAddress(): Promise<void> {
  const wanted = route.query.stage
  const screen = screens.find((s) => s.id === wanted)
  if (screen) return void (setting.value = onFirstSite(byItself(screen)))
  const places = bench.widget!.places
  const place = wanted
    ? (places.find((p) => p.placementId === wanted) ?? (await placeOf(String(wanted)).catch(() => undefined)))
    : places[0]
  const within = screens.find((s) => s.id === route.query.screen) ?? desktop
  setting.value = place ? inPlace(place, within) : onFirstSite(byItself(desktop))
}
/** What stands over pages is looked at as on the first site that it is on. */
function onFirstSite(alone: Setting): Setting {
  const site = bench.widget?.places.length ? undefined : bench.widget?.sites[0]
  return site ? { ...alone, look: site.look, language: site.language, timeZone: site.timeZone } : alone
}
function choose(next: Setting): void {
  setting.value = next.place ? next : onFirstSite(next)
  void router.replace({ query: { ...route.query, ...inAddress(next) } })
}

/** Whether the page is shown around a placement, and whether all is drawn as large as it is; kept in the address. */
const around = computed(() => route.query.around !== '0')
const fullSize = computed(() => route.query.size === '100')
const showAround = (shown: boolean) => router.replace({ query: { ...route.query, around: shown ? undefined : '0' } })
const showFullSize = (full: boolean) => router.replace({ query: { ...route.query, size: full ? '100' : undefined } })

const sieve = computed(() => bench.result?.sieve ?? null)
const shown = computed(() => sieve.value?.shown ?? 0)
const situation = computed<Situation>(() => ({
  kind: bench.widget!.kind,
  settings: bench.parsed!,
  width: innerWidth(setting.value),
  look: setting.value.look,
  shown: shown.value,
}))
provide(
  siteSwatchesKey,
  computed(() => swatchesOf(setting.value.look)),
)
provide(
  usualLabelsKey,
  computed(() => {
    const { locale } = bench.settings
    return labels[spokenLanguage(locale === 'page' ? setting.value.language : String(locale)).labels]
  }),
)
provide(
  pagesKey,
  computed(() => bench.widget?.sites.flatMap(({ pages }) => pages) ?? []),
)
provide(hintsKey, (ids) => (bench.parsed ? hintsFor(ids, situation.value) : []))
const verdict = computed(() =>
  bench.kind?.box && bench.parsed ? fitVerdict(bench.kind.box, bench.parsed, innerWidth(setting.value)) : null,
)
const notes = computed<Record<string, string>>(() => ({
  look: bench.parsed ? textContrast(situation.value) : '',
}))
const pairs = computed(() => (bench.parsed ? contrasts(situation.value) : []))
const { data: agency } = useAgency()
watch(
  [setting, agency],
  () => {
    const { language, timeZone, credited, look, place } = setting.value
    const widths = place && { desktop: place.width, tablet: place.widthTablet, phone: place.widthPhone }
    bench.standing = {
      around: { language, timeZone, credit: (credited && agency.value?.credit) || null },
      look,
      widths,
    }
  },
  { immediate: true },
)
/** A kind with content shows nothing of its own before it has a source, or before it is written. */
const wantsSource = computed(() => Boolean(bench.kind && bench.parsed) && standsForSample(bench.kind!, bench.parsed!))
const warning = computed(() => {
  if (wantsSource.value) return ''
  if (bench.result?.nothing && bench.kind?.content?.facts)
    return `As it stands, nothing would be shown: the source does not say its ${bench.kind.content.many}.`
  if (!sieve.value) return ''
  // A badge or a card says something without any item of its own.
  if (!shown.value)
    return bench.result?.nothing ? 'As it stands, nothing would be shown: the sieve takes everything out.' : ''
  const fill =
    bench.kind?.box && verdict.value
      ? gapsHere(bench.kind.box, bench.settings, verdict.value.fit.columns, shown.value, mostItems(bench.kind))
      : null
  return fill ? `${shown.value} items leave gaps here. ${fill}` : ''
})

onKey('Ctrl+Z', bench.undo)
onKey('Ctrl+Shift+Z', bench.redo)
onKey('Ctrl+Y', bench.redo)
onReturn(
  () =>
    void bench.lookForNewer().then(
      (found) => found === 'newer' && say('The draft was changed elsewhere; this is the newer one.'),
      () => {},
    ),
)
const isAllSaved = () => bench.saving.state === 'saved'
/** What waits is saved before another screen, or another widget, is gone to. */
async function mayLeave(): Promise<boolean> {
  await bench.saving.flush()
  if (isAllSaved()) return true
  return confirm('Your last changes are not saved. Leave them?')
}
onBeforeRouteLeave(mayLeave)
onBeforeRouteUpdate((to, from) => to.params.id === from.params.id || mayLeave())
const warnOnClose = (event: BeforeUnloadEvent) => {
  if (isAllSaved()) return
  void bench.saving.flush()
  event.preventDefault()
}
onMounted(() => addEventListener('beforeunload', warnOnClose))
onBeforeUnmount(() => removeEventListener('beforeunload', warnOnClose))
</script>

<template>
  <Fault v-if="error" :error="error" :retry="load" class="m-8" />
  <Waiting v-else-if="!bench.widget" doing="Laying the widget on the bench" class="px-8" />
  <div v-else class="grid lg:h-[calc(100dvh-57px)] lg:grid-cols-[449px_minmax(0,1fr)]">
    <div class="flex min-h-0 flex-col border-rule px-4 pt-4 lg:border-r lg:pr-7 lg:pl-8">
      <div class="flex items-start gap-4">
        <div class="min-w-0 flex-1"><WidgetName /></div>
        <FindSetting />
      </div>
      <DraftLine class="mt-1 mb-3" />
      <AnswersLine v-if="bench.parsed && bench.kind?.form?.(bench.parsed)" />
      <Conflict />
      <Fault
        v-if="bench.saving.state === 'failed' && bench.saving.error"
        :error="bench.saving.error"
        :retry="bench.saving.flush"
        class="mb-3"
      />
      <p v-if="bench.lookingAt !== null" class="mb-3 border-l-4 border-tide py-1 pl-4">
        Looking at <b>release {{ bench.lookingAt }}</b
        >. The brief below is the draft’s.
        <button type="button" class="word" @click="bench.lookingAt = null">Back to the draft</button>
      </p>
      <div class="-mx-1 min-h-0 flex-1 px-1 lg:overflow-y-auto">
        <Brief :notes="notes" @sheet="panel = $event">
          <template #look><ContrastLines :pairs="pairs" /></template>
        </Brief>
      </div>
      <PublishLine :warning="warning" :may-publish="!wantsSource" @show="((comparing = undefined), (panel = $event))">
        <WhatToLoosen v-if="sieve && !wantsSource" :sieve="sieve" />
      </PublishLine>
    </div>
    <div class="flex min-h-0 min-w-0 flex-col bg-sand">
      <div class="border-b border-rule px-4 py-2 lg:px-[26px]">
        <StageTabs
          :chosen="setting"
          :places="bench.widget.places"
          :around="around"
          @choose="choose"
          @around="showAround"
        />
      </div>
      <div
        class="min-h-0 flex-1 overflow-y-auto px-4 pt-1 pb-6 lg:px-[26px]"
        tabindex="0"
        role="region"
        aria-label="Stage"
      >
        <Stage
          :widget-id="bench.widget.id"
          :payload="bench.payload"
          :setting="setting"
          :around="around"
          :full-size="fullSize"
          :reserved="bench.result?.reserved ?? ''"
          :example="bench.result?.sample ?? false"
          @full-size="showFullSize"
        />
        <div v-if="wantsSource" class="mt-4">
          <p>
            <b>This is an example.</b> Say where the {{ bench.kind!.content!.many }} come from, and yours stand here.
          </p>
          <button type="button" class="act mt-3" @click="panel = 'sources'">Find a source</button>
        </div>
        <FitLine v-else :width="innerWidth(setting)" :shown="shown" />
      </div>
      <div v-if="sieve" class="border-t border-rule bg-paper px-4 pt-3 pb-4 lg:px-[26px]">
        <SieveSteps :sieve="sieve" />
        <PhraseLines v-if="bench.result?.phrases" :phrases="bench.result.phrases" />
      </div>
    </div>
    <SourcesPanel v-if="panel === 'sources'" @close="panel = null" />
    <FieldsSheet v-if="panel === 'fields'" @close="panel = null" />
    <OwnCss v-if="panel === 'css'" @close="panel = null" />
    <Compare v-if="panel === 'compare'" :first="comparing" @close="panel = null" />
    <Releases v-if="panel === 'releases'" @close="panel = null" @compare="compare" />
    <Designs v-if="panel === 'designs'" :width="innerWidth(setting)" @close="panel = null" />
  </div>
</template>

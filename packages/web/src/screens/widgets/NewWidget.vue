<script setup lang="ts">
import { kindList, type Kind, type Settings } from '@pebblestrand/core/kinds'
import { nameBy, namingDates } from '@pebblestrand/core/naming'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Place, SourceDetail } from '../../api/types'
import { fitOf } from '../../parts/fit'
import InputField from '../../parts/InputField.vue'
import SheetForm from '../../parts/SheetForm.vue'
import { useAgency, useOwnStarters } from '../../queries/agency'
import { placesWith } from '../../queries/sites'
import { useSourceList } from '../../queries/sources'
import { makeWidget, widgetNamed } from '../../queries/widgets'
import { draws } from './starter-drawings'
import StarterChoice from './StarterChoice.vue'

/** Every kind with its starters, each drawn with its example or with content that is known, as wide as its place; one is begun from. */
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const route = useRoute()

const places = ref<Place[]>([])
const placeId = ref('')
void placesWith('').then((found) => {
  places.value = found.rows
  // From a page plan: the widest place of that page's own site.
  const here = found.rows.filter(({ siteId }) => siteId === route.query.site).sort((a, b) => b.width - a.width)
  placeId.value = here[0]?.placementId ?? ''
})
const place = computed(() => places.value.find(({ placementId }) => placementId === placeId.value) ?? null)
const { data: known } = useSourceList(() => ({ q: '', page: 1, size: 100 }))
const sourceId = ref('')
const source = computed<SourceDetail | null>(() => known.value?.rows.find(({ id }) => id === sourceId.value) ?? null)

interface Offered {
  id: string
  name: string
  settings: Settings
  fits: boolean
}
const { data: own } = useOwnStarters()
const kindId = ref('')
const fittingOnly = ref(false)
const kinds = computed(() =>
  Object.values(kindList)
    .filter(({ id }) => !kindId.value || id === kindId.value)
    .filter(
      ({ content }) =>
        !source.value ||
        [...(content?.bodies ?? []), ...(content?.facts ?? [])].some((one) => source.value!.gives.includes(one)),
    )
    .map((kind) => ({ kind, starters: startersOf(kind).filter(({ fits }) => fits || !fittingOnly.value) }))
    .filter(({ starters }) => starters.length),
)
function startersOf(kind: Kind): Offered[] {
  const ours = (own.value?.rows ?? []).filter((starter) => starter.kind === kind.id)
  const all = [
    ...kind.starters.map(({ id, name, settings }) => ({ id, name, settings: settings as Settings })),
    ...ours.map(({ id, name, settings }) => ({ id: `own:${id}`, name: `${name} (ours)`, settings })),
  ]
  return all.map((starter) => {
    const fit =
      place.value && fitOf(kind.id, kind.settings.parse({ ...starter.settings }) as Settings, place.value.width)
    return { ...starter, fits: !fit || fit.verdict === 'fits' }
  })
}

const first = Object.values(kindList)[0]!
const chosen = ref(`${first.id} ${first.starters[0]!.id}`)
const chosenKind = computed(() => kindList[chosen.value.split(' ')[0]!]!)
const chosenStarter = computed(() =>
  startersOf(chosenKind.value).find(({ id }) => `${chosenKind.value.id} ${id}` === chosen.value),
)

const { data: agency } = useAgency()
const typed = ref<string | null>(null)
const offeredName = computed(() =>
  nameBy(agency.value?.naming || '{kind}', {
    ...(place.value ? { client: place.value.client, site: place.value.site, page: place.value.page ?? '' } : {}),
    kind: chosenKind.value.name,
    starter: chosenStarter.value?.name.replace(/ \(ours\)$/, '') ?? '',
    ...namingDates(new Date(), Intl.DateTimeFormat().resolvedOptions().timeZone),
  }),
)
const name = computed({ get: () => typed.value ?? offeredName.value, set: (value: string) => (typed.value = value) })
const double = ref<Awaited<ReturnType<typeof widgetNamed>>>(null)
let asked = 0
watch(
  name,
  async (wanted) => {
    const own = ++asked
    const found = await widgetNamed(wanted.trim())
    if (own === asked) double.value = found
  },
  { immediate: true },
)

async function make(): Promise<void> {
  const [kind, starter] = [chosenKind.value.id, chosen.value.slice(chosenKind.value.id.length + 1)]
  const sources = source.value && kind !== 'visit-counter' ? [source.value.id] : undefined
  const { id } = await makeWidget({ kind, starter, name: name.value.trim() || null, sources })
  await router.push({ path: `/widgets/${id}`, query: place.value ? { stage: place.value.placementId } : {} })
}
const said = (one: Place) => `${one.site}, ${one.page ? `${one.page}, ` : ''}${one.placement} (${one.width} px)`
const drawings = draws()
</script>

<template>
  <SheetForm
    v-slot="{ about }"
    title="Make a widget"
    does="Open it in the workbench"
    widest
    :run="make"
    @close="emit('close')"
  >
    <div class="mb-5 grid gap-x-5 gap-y-3 border-b border-rule pb-4 sm:grid-cols-2 lg:grid-cols-4">
      <label class="min-w-0"
        ><span class="label block">It is for</span>
        <select v-model="placeId" class="field w-full">
          <option value="">no place yet</option>
          <option v-for="one in places" :key="one.placementId" :value="one.placementId">{{ said(one) }}</option>
        </select></label
      >
      <label class="min-w-0"
        ><span class="label block">It shows</span>
        <select v-model="sourceId" class="field w-full">
          <option value="">an example, for now</option>
          <option v-for="one in known?.rows ?? []" :key="one.id" :value="one.id">{{ one.title }}</option>
        </select></label
      >
      <label class="min-w-0"
        ><span class="label block">Kinds</span>
        <select v-model="kindId" class="field w-full">
          <option value="">all of them</option>
          <option v-for="kind in kindList" :key="kind.id" :value="kind.id">{{ kind.name }}</option>
        </select></label
      >
      <label class="flex items-center gap-2 self-end pb-2 text-[14px]" :class="place ? '' : 'text-soft'"
        ><input v-model="fittingOnly" type="checkbox" class="accent-kelp" :disabled="!place" /> Only those that fit
        there</label
      >
    </div>
    <p class="label mb-3">Begin from</p>
    <p v-if="!kinds.length" class="mb-4 text-soft">
      Nothing that {{ source ? `shows ${source.title}` : 'is here' }}{{ fittingOnly ? ' fits there' : '' }}.
    </p>
    <div class="max-h-[46dvh] overflow-y-auto pr-2" tabindex="0" role="region" aria-label="Starters">
      <fieldset v-for="{ kind, starters } in kinds" :key="kind.id" class="mb-5 border-0 p-0">
        <legend class="mb-2">
          <b class="font-display text-[17px]">{{ kind.name }}</b> <span class="text-soft">{{ kind.purpose }}</span>
        </legend>
        <div class="grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
          <StarterChoice
            v-for="starter in starters"
            :key="starter.id"
            v-model="chosen"
            :kind="kind"
            :starter="starter"
            :fits="starter.fits"
            :source="source"
            :width="place?.width ?? null"
            :drawings="drawings"
          />
        </div>
      </fieldset>
    </div>
    <div class="mt-5 max-w-[420px]">
      <InputField
        v-model="name"
        label="Name"
        :placeholder="`New ${chosenKind.name.toLowerCase()}`"
        hint="As the agency names its widgets. It can be changed."
        :fault="about('name')"
      />
      <p v-if="double" class="-mt-2 mb-3 text-[13.5px] text-ochre" role="status">
        There is one called that:
        <RouterLink :to="`/widgets/${double.id}`" class="word">{{ double.name }}</RouterLink>,
        {{ kindList[double.kind]?.name.toLowerCase() ?? double.kind }}.
      </p>
    </div>
  </SheetForm>
</template>

<script setup lang="ts">
import { isCollision, typicalVisitors, type MadeUpVisit, type Typical } from '@pebblestrand/core/presence'
import { triggerWords, whyWords } from '@pebblestrand/core/presence/words'
import { wallClock } from '@pebblestrand/core/zoned-time'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { plural } from '../../parts/address'
import Fault from '../../parts/Fault.vue'
import Waiting from '../../parts/Waiting.vue'
import { useRehearsal } from '../../queries/rehearsals'
import Expectations from './Expectations.vue'
import { play, type As } from './playing'
import TimeLines from './TimeLines.vue'
import TypicalGrid from './TypicalGrid.vue'
import VisitForm from './VisitForm.vue'

/** Plays made-up visits against everything that stands over the pages of a site. */
const props = defineProps<{ id: string }>()
const route = useRoute()
const router = useRouter()
const { data: of, error, refetch } = useRehearsal(() => props.id)

/** Drafts as if they were published; kept in the address, as is the visitor. */
const as = computed<As>({
  get: () => (route.query.as === 'drafts' ? 'drafts' : 'published'),
  set: (next) => void router.replace({ query: { ...route.query, as: next === 'drafts' ? next : undefined } }),
})
const paths = computed(() => (of.value?.pages ?? []).map(({ path }) => path).filter((path) => !/[*:{]/.test(path)))
const visitors = computed(() =>
  of.value
    ? typicalVisitors({
        paths: paths.value,
        day: wallClock(new Date(), of.value.timeZone).day,
        language: (of.value.language ?? 'en').split('-')[0]!,
      })
    : [],
)
const visit = ref<MadeUpVisit | null>(null)
const chosen = computed(() => String(route.query.visitor ?? ''))
function choose(next: MadeUpVisit, id: string): void {
  visit.value = next
  void router.replace({ query: { ...route.query, visitor: id } })
}
watch(
  of,
  (now) => {
    if (!now) return
    document.title = `Rehearsal, ${now.site} · Pebblestrand`
    visit.value ??=
      now.expectations.find(({ id }) => id === chosen.value)?.visit ??
      visitors.value.find(({ id }) => id === chosen.value)?.visit ??
      visitors.value.find(({ id }) => id === 'search-desk')!.visit
  },
  { immediate: true },
)
const played = computed(() => (of.value && visit.value ? play(of.value, visit.value, as.value) : null))
const collisions = computed(() => new Set(played.value?.happenings.filter(isCollision).map(({ id }) => id)).size)
const ahead = computed(() => of.value?.overPage.filter(({ draft }) => draft).length ?? 0)
const headline = computed(() => {
  const seen = played.value?.outcomes.filter(({ shown }) => shown).length ?? 0
  const all = played.value?.outcomes.length ?? 0
  return `This visitor sees ${seen === 0 ? 'none' : `${seen} of ${all}`}${collisions.value ? `; ${plural(collisions.value, 'widget')} met another` : ''}.`
})
const pick = (visitor: Typical) => choose(visitor.visit, visitor.id)
</script>

<template>
  <Fault v-if="error" :error="error" :retry="refetch" class="m-8" />
  <Waiting v-else-if="!of || !visit || !played" doing="Reading what stands over the pages" class="px-8" />
  <div
    v-else
    class="grid min-h-[calc(100dvh-56px)] lg:grid-cols-[268px_minmax(0,1fr)] xl:grid-cols-[268px_minmax(0,1fr)_262px]"
  >
    <div class="border-rule px-4 py-5 lg:border-r lg:pr-[18px] lg:pl-8">
      <p class="text-[13.5px] text-soft">
        <RouterLink :to="`/sites/${id}`" class="underline underline-offset-3">{{ of.site }}</RouterLink>
      </p>
      <h1 class="mb-4 text-[25px] font-bold">Rehearsal</h1>
      <p class="mb-3 text-[14px] text-soft">A made-up visit, played by the code that decides on the pages.</p>
      <VisitForm v-model="visit" :pages="of.pages" />
    </div>

    <div class="min-w-0 px-4 py-5 lg:px-[26px]">
      <p v-if="!of.overPage.length" class="border-t border-ink pt-4">
        Nothing stands over the pages of this site. Make a
        <RouterLink to="/widgets" class="word">dialog, bar, cover or card</RouterLink> and place it over a page.
      </p>
      <template v-else>
        <div class="mb-3 flex flex-wrap items-baseline gap-x-6 gap-y-1">
          <h2 class="text-[19px] font-bold" aria-live="polite">{{ headline }}</h2>
          <label v-if="ahead" class="ml-auto text-[14px]">
            <input v-model="as" type="checkbox" true-value="drafts" false-value="published" class="accent-kelp" />
            with {{ plural(ahead, 'draft') }} as if published
          </label>
        </div>
        <TimeLines :visit="visit" :played="played" :over-page="of.overPage" />
        <h2 class="mt-8 mb-2 text-[19px] font-bold">Ten typical visitors</h2>
        <TypicalGrid :of="of" :visitors="visitors" :as="as" :chosen="chosen" @choose="pick" />
      </template>
    </div>

    <div class="border-rule px-4 py-5 lg:col-start-2 xl:col-start-auto xl:border-l xl:pr-8 xl:pl-5">
      <section v-if="of.overPage.length" aria-labelledby="became" class="mb-8">
        <h2 id="became" class="text-[17px] font-semibold">What became of each</h2>
        <ul class="ledger mt-2 border-t border-rule">
          <li v-for="(one, i) in of.overPage" :key="one.installId" class="py-2 text-[14px]">
            <RouterLink :to="`/installs/${one.installId}`" class="font-bold">{{ one.widget }}</RouterLink>
            <span v-if="as === 'drafts' && one.draft" class="text-heather"> as its draft has it</span>
            <p v-if="played.outcomes[i]!.shown" class="text-kelp">
              seen {{ played.outcomes[i]!.shown === 1 ? 'once' : `${played.outcomes[i]!.shown} times` }}
            </p>
            <p v-else-if="played.outcomes[i]!.why" class="text-ochre">{{ whyWords[played.outcomes[i]!.why!] }}</p>
            <p class="text-[13px] text-soft">
              {{ one.on }};
              {{ (as === 'drafts' && one.draft ? one.draft : one.rules).triggers.map(triggerWords).join('; ') }}
            </p>
          </li>
        </ul>
      </section>
      <Expectations :of="of" :site-id="id" :visit="visit" :played="played" :as="as" @look="choose" />
    </div>
  </div>
</template>

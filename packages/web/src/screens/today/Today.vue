<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import type { ApiError } from '../../api/error'
import { asApiError } from '../../api/error'
import { sayFault } from '../../frame/notices'
import { onReturn } from '../../keys/keys'
import { plural } from '../../parts/address'
import Fault from '../../parts/Fault.vue'
import Shoreline from '../../parts/Shoreline.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import Waiting from '../../parts/Waiting.vue'
import { FEW, useToday } from '../../stores/today'
import Changes from './Changes.vue'
import { grouped } from './groups'
import Legend from './Legend.vue'
import Thing from './Thing.vue'

const today = useToday()
const error = ref<ApiError | null>(null)
const groups = computed(() => grouped(today.answer?.waiting ?? []))
const allStrands = ref(false)
const strands = computed(() => (allStrands.value ? today.sites : today.sites.slice(0, FEW)))
const unlisted = computed(() => (today.answer ? today.answer.counts.waiting - today.answer.waiting.length : 0))
const round = computed(() => (today.answer?.round?.state === 'running' ? today.answer.round : null))

const load = () =>
  today.load().then(
    () => (error.value = null),
    (e: unknown) => (error.value = asApiError(e)),
  )
const attempt = (deed: () => Promise<void>) => void deed().catch((e: unknown) => sayFault(asApiError(e)))

onMounted(load)
onReturn(load)
onBeforeUnmount(today.stopWatching)
</script>

<template>
  <Fault v-if="error" :error="error" :retry="load" class="m-8" />
  <Waiting v-else-if="!today.answer" doing="Looking at every site" class="px-8" />
  <div
    v-else
    class="grid gap-x-9 gap-y-8 px-4 py-7 lg:grid-cols-[190px_minmax(0,1fr)] lg:px-8 xl:grid-cols-[190px_minmax(0,1fr)_228px]"
  >
    <div>
      <h1 class="text-[31px] font-bold">
        <template v-if="today.answer.counts.waiting"
          >{{ plural(today.answer.counts.waiting, 'thing') }}
          {{ today.answer.counts.waiting === 1 ? 'needs' : 'need' }} a hand</template
        >
        <template v-else>Nothing needs a hand</template>
      </h1>
      <p v-if="today.answer.counts.installs" class="mt-3 leading-[1.45] text-soft">
        {{ today.answer.counts.confirmed }} of {{ plural(today.answer.counts.installs, 'install') }} on
        {{ plural(today.answer.counts.sites, 'site') }} are confirmed.
        <template v-if="today.answer.counts.checkedAt"
          >Last check <TimeAgo :at="today.answer.counts.checkedAt" />.</template
        >
      </p>
      <div v-if="round" class="mt-4" role="status">
        <p>Checking: {{ round.done }} of {{ round.total }}</p>
        <progress
          class="w-full"
          :value="round.done"
          :max="round.total"
          :aria-label="`${round.done} of ${round.total} checked`"
        />
        <button type="button" class="word" @click="attempt(today.stopRound)">Stop</button>
      </div>
      <button
        v-else-if="today.answer.counts.installs"
        type="button"
        class="word mt-4"
        @click="attempt(today.checkEverything)"
      >
        Check everything
      </button>
      <Legend class="mt-9 hidden lg:block" />
    </div>

    <div class="min-w-0">
      <section v-if="today.sites.length" aria-label="Shoreline">
        <div
          v-for="site in strands"
          :key="site.id"
          class="grid grid-cols-[minmax(0,1fr)_76px] items-center gap-x-4 py-[2px] sm:grid-cols-[150px_minmax(0,1fr)_76px]"
        >
          <RouterLink :to="`/sites/${site.id}`" class="truncate text-ink no-underline hover:underline">{{
            site.name
          }}</RouterLink>
          <Shoreline :site="site" :slots="today.slots" class="order-last col-span-2 sm:order-none sm:col-span-1" />
          <span class="text-right text-[13px] text-soft">{{
            plural(site.pebbles.filter((p) => p.status !== 'retired').length, 'install')
          }}</span>
        </div>
        <p v-if="today.siteTotal > FEW" class="flex flex-wrap gap-x-5 pt-2 text-soft">
          <span
            >{{ strands.length }} of {{ today.siteTotal }} sites<template v-if="!allStrands"
              >, those first that need a hand</template
            >.</span
          >
          <button v-if="!allStrands" type="button" class="word" @click="allStrands = true">
            Draw {{ today.sites.length }}
          </button>
          <RouterLink to="/sites" class="word">All sites</RouterLink>
        </p>
      </section>
      <div v-else class="border-t border-ink pt-4">
        <p class="max-w-[52ch]">
          Here every site is a strand and every install a pebble on it. There is no site yet.
          <RouterLink to="/sites?new=1" class="word">Add the first site</RouterLink>
        </p>
      </div>

      <section
        v-for="group in groups"
        :key="group.id"
        class="mt-6 grid gap-x-[18px] sm:grid-cols-[118px_minmax(0,1fr)]"
        :aria-labelledby="`group-${group.id}`"
      >
        <h2 :id="`group-${group.id}`" class="border-t border-ink pt-[10px] text-[16px] font-semibold">
          {{ group.name }}
        </h2>
        <ul class="ledger border-ink sm:border-t">
          <Thing v-for="thing in group.things" :key="thing.id" :thing="thing" :hands="group.id" @changed="load" />
        </ul>
      </section>
      <p v-if="unlisted > 0" class="mt-5 border-t border-ink pt-3 text-soft">
        {{ plural(unlisted, 'thing') }} more.
        <RouterLink to="/installs?sort=status" class="word">All installs, by status</RouterLink>
      </p>
    </div>

    <Changes :answer="today.answer" class="xl:border-l xl:border-rule xl:pl-[22px]" />
  </div>
</template>

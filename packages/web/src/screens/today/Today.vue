<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue'
import { asApiError } from '../../api/error'
import { sayFault } from '../../frame/notices'
import { plural } from '../../parts/address'
import Fault from '../../parts/Fault.vue'
import Shoreline from '../../parts/Shoreline.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import Waiting from '../../parts/Waiting.vue'
import { checkEverything, FEW, stopRound, useToday } from '../../queries/today'
import Changes from './Changes.vue'
import { grouped } from './groups'
import Legend from './Legend.vue'
import { isWithOthers, waitedFor } from './others'
import WaitingLine from './WaitingLine.vue'

// Apart from the first screen's script: below what a person does first, and not on every day.
const AnswersWaiting = defineAsyncComponent(() => import('./AnswersWaiting.vue'))
const SwapsAhead = defineAsyncComponent(() => import('./SwapsAhead.vue'))
const WaitingForOthers = defineAsyncComponent(() => import('./WaitingForOthers.vue'))

const { answer, error, refetch, sites, siteTotal, slots } = useToday()
const groups = computed(() => grouped((answer.value?.waiting ?? []).filter((install) => !isWithOthers(install))))
const waited = computed(() => waitedFor(answer.value?.waiting ?? []))
const allStrands = ref(false)
const strands = computed(() => (allStrands.value ? sites.value : sites.value.slice(0, FEW)))
const unlisted = computed(() => (answer.value ? answer.value.counts.waiting - answer.value.waiting.length : 0))
const round = computed(() => (answer.value?.round?.state === 'running' ? answer.value.round : null))
const attempt = (doing: Promise<void>) => void doing.catch((e: unknown) => sayFault(asApiError(e)))
</script>

<template>
  <Fault v-if="error" :error="error" :retry="refetch" class="m-8" />
  <Waiting v-else-if="!answer" doing="Looking at every site" class="px-8" />
  <div
    v-else
    class="grid gap-x-9 gap-y-8 px-4 py-7 lg:grid-cols-[190px_minmax(0,1fr)] lg:px-8 xl:grid-cols-[190px_minmax(0,1fr)_228px]"
  >
    <div>
      <h1 class="text-[31px] font-bold">
        <template v-if="answer.counts.waiting"
          >{{ plural(answer.counts.waiting, 'thing') }} {{ answer.counts.waiting === 1 ? 'needs' : 'need' }} a
          hand</template
        >
        <template v-else>Nothing needs a hand</template>
      </h1>
      <p v-if="answer.counts.installs" class="mt-3 leading-[1.45] text-soft">
        {{ answer.counts.confirmed }} of {{ plural(answer.counts.installs, 'install') }} on
        {{ plural(answer.counts.sites, 'site') }} are confirmed.
        <template v-if="answer.counts.checkedAt">Last check <TimeAgo :at="answer.counts.checkedAt" />.</template>
      </p>
      <div v-if="round" class="mt-4" role="status">
        <p>Checking: {{ round.done }} of {{ round.total }}</p>
        <progress
          class="w-full"
          :value="round.done"
          :max="round.total"
          :aria-label="`${round.done} of ${round.total} checked`"
        />
        <button type="button" class="word" @click="attempt(stopRound(round.id))">Stop</button>
      </div>
      <button v-else-if="answer.counts.installs" type="button" class="word mt-4" @click="attempt(checkEverything())">
        Check everything
      </button>
      <Legend class="mt-9 hidden lg:block" />
    </div>

    <div class="min-w-0">
      <section v-if="sites.length" aria-label="Shoreline">
        <div
          v-for="site in strands"
          :key="site.id"
          class="grid grid-cols-[minmax(0,1fr)_76px] items-center gap-x-4 py-[2px] sm:grid-cols-[150px_minmax(0,1fr)_76px]"
        >
          <RouterLink :to="`/sites/${site.id}`" class="truncate text-ink no-underline hover:underline">{{
            site.name
          }}</RouterLink>
          <Shoreline :site="site" :slots="slots" class="order-last col-span-2 sm:order-none sm:col-span-1" />
          <span class="text-right text-[13px] text-soft">{{
            plural(site.pebbles.filter((p) => p.status !== 'retired').length, 'install')
          }}</span>
        </div>
        <p v-if="siteTotal > FEW" class="flex flex-wrap gap-x-5 pt-2 text-soft">
          <span
            >{{ strands.length }} of {{ siteTotal }} sites<template v-if="!allStrands"
              >, those first that need a hand</template
            >.</span
          >
          <button v-if="!allStrands" type="button" class="word" @click="allStrands = true">
            Draw {{ sites.length }}
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
          <WaitingLine v-for="install in group.installs" :key="install.id" :install="install" :group="group.id" />
        </ul>
      </section>
      <WaitingForOthers v-if="waited.length" :waited="waited" />
      <section
        v-if="answer.emptied.length"
        class="mt-6 grid gap-x-[18px] sm:grid-cols-[118px_minmax(0,1fr)]"
        aria-labelledby="ran-empty"
      >
        <h2 id="ran-empty" class="border-t border-ink pt-[10px] text-[16px] font-semibold">Ran empty</h2>
        <ul class="ledger border-ink sm:border-t">
          <li v-for="widget in answer.emptied" :key="widget.id" class="py-[10px]" data-thing>
            <RouterLink :to="`/widgets/${widget.id}`" class="font-bold text-ink no-underline hover:underline">{{
              widget.name
            }}</RouterLink>
            has nothing left to show since <TimeAgo :at="widget.at" />. Visitors of
            {{ plural(widget.installs, 'install') }} still see the last that it had.
            <RouterLink :to="`/widgets/${widget.id}`" class="word" :aria-label="`Look at the sieve of ${widget.name}`"
              >Look at its sieve</RouterLink
            >
          </li>
        </ul>
      </section>
      <AnswersWaiting
        v-if="answer.leads.new || answer.leads.held || answer.coupons.length || answer.limited.length"
        :leads="answer.leads"
        :coupons="answer.coupons"
        :limited="answer.limited"
      />
      <SwapsAhead v-if="answer.swaps.length" :swaps="answer.swaps" />
      <p v-if="unlisted > 0" class="mt-5 border-t border-ink pt-3 text-soft">
        {{ plural(unlisted, 'thing') }} more.
        <RouterLink to="/installs?sort=status" class="word">All installs, by status</RouterLink>
      </p>
    </div>

    <Changes :answer="answer" class="xl:border-l xl:border-rule xl:pl-[22px]" />
  </div>
</template>

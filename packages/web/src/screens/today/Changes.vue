<script setup lang="ts">
import { statuses } from '@pebblestrand/core/verify/words'
import type { TodayAnswer } from '../../api/types'
import Pebble from '../../parts/Pebble.vue'
import TimeAgo from '../../parts/TimeAgo.vue'

defineProps<{ answer: TodayAnswer }>()

const verbs: Record<string, string> = {
  planned: 'planned',
  pasted: 'pasted',
  unpasted: 'not pasted after all',
  retiring: 'to be taken out',
  retired: 'gone, proved',
  kept: 'stays after all',
  method: 'other method',
  held: 'held at a release',
  followed: 'follows the newest release',
  'swap-planned': 'a swap is planned',
  'swap-dropped': 'a planned swap is dropped',
  'swap-failed': 'a planned swap could not be done',
}
function said(change: TodayAnswer['lately'][number]): string {
  if (change.verb === 'swapped') return `in place of ${String(change.data.before)}`
  if (change.verb === 'width-changed') return String(change.data.title)
  if (change.verb !== 'checked') return verbs[change.verb] ?? change.verb
  return (
    (change.data.title as string | null) ?? statuses[change.data.status as keyof typeof statuses]?.name ?? 'checked'
  )
}
</script>

<template>
  <aside aria-label="Lately">
    <h2 class="mb-2 text-[16px] font-semibold">Since yesterday</h2>
    <p v-if="!answer.lately.length" class="border-t border-rule pt-2 text-soft">Nothing changed.</p>
    <ul class="ledger border-t border-rule">
      <li v-for="change in answer.lately" :key="change.id" class="flex gap-[10px] py-2 text-[13.5px] leading-[1.45]">
        <Pebble :status="change.status" :seed="change.installId" :size="15" class="mt-1" />
        <p class="min-w-0">
          <RouterLink :to="`/installs/${change.installId}`" class="font-bold text-ink no-underline hover:underline">{{
            change.widget
          }}</RouterLink><br />
          <span class="text-soft"
            >{{ change.site }}, {{ change.page }}<br />{{ said(change) }} <TimeAgo :at="change.at"
          /></span>
        </p>
      </li>
    </ul>
    <template v-if="answer.ailing.length">
      <h2 class="mt-7 mb-2 text-[16px] font-semibold">Sources that fail</h2>
      <ul class="ledger border-t border-rule">
        <li v-for="source in answer.ailing" :key="source.id" class="py-2 text-[13.5px] leading-[1.45]">
          <RouterLink :to="`/sources/${source.id}`" class="font-bold text-ink no-underline hover:underline">{{
            source.title
          }}</RouterLink><br />
          <span class="text-soft"
            >{{ source.problem.message }} {{ source.problem.remedy }}
            <template v-if="source.okAt">The copy from <TimeAgo :at="source.okAt" /> stays up.</template></span
          >
        </li>
      </ul>
    </template>
  </aside>
</template>

<script setup lang="ts">
import type { TodayAnswer } from '../../api/types'
import { timeThere } from '../install/times'

/** Swaps that begin or end soon, before they do; and what could not be done. */
defineProps<{ swaps: TodayAnswer['swaps'] }>()
</script>

<template>
  <section class="mt-6 grid gap-x-[18px] sm:grid-cols-[118px_minmax(0,1fr)]" aria-labelledby="swaps-ahead">
    <h2 id="swaps-ahead" class="border-t border-ink pt-[10px] text-[16px] font-semibold">Changes by itself</h2>
    <ul class="ledger border-ink sm:border-t">
      <li v-for="swap in swaps" :key="swap.id" class="py-[10px]" data-thing>
        <RouterLink :to="`/installs/${swap.installId}`" class="font-bold text-ink no-underline hover:underline">{{
          swap.state === 'on' ? (swap.before ?? swap.widget) : swap.widget
        }}</RouterLink>
        <template v-if="swap.state === 'failed'">
          did not come in on {{ swap.site }}, {{ swap.page }}.
          <span class="text-coral">{{ swap.problem }}</span></template
        >
        <template v-else-if="swap.state === 'on'">
          comes back on {{ swap.site }}, {{ swap.page }}, on {{ timeThere(swap.at, swap.timeZone) }}, when
          {{ swap.widget }} ends.</template
        >
        <template v-else>
          stands on {{ swap.site }}, {{ swap.page }}, from {{ timeThere(swap.at, swap.timeZone)
          }}<template v-if="swap.until"> until {{ timeThere(swap.until, swap.timeZone) }}</template
          ><template v-if="swap.before">, in place of {{ swap.before }}</template
          >.</template
        >
        <RouterLink
          :to="`/installs/${swap.installId}`"
          class="word"
          :aria-label="`Look at it: the swap to ${swap.widget}`"
          >Look at it</RouterLink
        >
      </li>
    </ul>
  </section>
</template>

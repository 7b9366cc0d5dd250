<script setup lang="ts">
import { statuses } from '@pebblestrand/core/verify/words'
import { computed } from 'vue'
import type { SiteRow } from '../api/types'
import Pebble from './Pebble.vue'
import { lie, strandLine } from './pebble-shape'

/** One site as a strand with its pebbles in page order; a pebble opens its install. */
const props = defineProps<{ site: SiteRow; slots: number }>()

/** More on one strand would lie so close that they cannot be pressed one by one: the rest lie on a strand below. */
const MOST = 12
/** Px: a pebble’s 26, and room for how each lies a little higher or lower than the next (WCAG 2.2, 2.5.8 wants 24 free). */
const STRAND = 29

const slots = computed(() => Math.min(props.slots, MOST))
const strands = computed(() => Math.max(1, Math.ceil(props.site.pebbles.length / slots.value)))
const placed = computed(() =>
  props.site.pebbles.map((pebble, index) => {
    const { x, y } = lie(pebble.id)
    const [at, strand] = [index % slots.value, Math.floor(index / slots.value)]
    return { pebble, left: ((at + 0.5 + x) / slots.value) * 100, top: strand * STRAND + y * 5 }
  }),
)
</script>

<template>
  <div class="relative min-w-0" :style="{ height: `${strands * STRAND}px` }">
    <svg
      v-for="strand in strands"
      :key="strand"
      class="absolute inset-x-0 h-2 w-full text-rule"
      :style="{ top: `${strand * STRAND - 10}px` }"
      viewBox="0 0 500 8"
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      <path
        :d="strandLine(`${site.id}${strand > 1 ? strand : ''}`)"
        fill="none"
        stroke="currentColor"
        stroke-width="1.800"
        vector-effect="non-scaling-stroke"
      />
    </svg>
    <ul class="contents">
      <li
        v-for="{ pebble, left, top } in placed"
        :key="pebble.id"
        class="absolute -translate-x-1/2"
        :style="{ left: `${left}%`, top: `${top}px` }"
      >
        <RouterLink
          :to="`/installs/${pebble.id}`"
          class="group grid size-[26px] place-items-center"
          :aria-label="`${pebble.widget}, ${pebble.page}, ${pebble.placement}: ${statuses[pebble.status].name}`"
        >
          <Pebble :status="pebble.status" :seed="pebble.id" :size="18" />
          <span
            class="pointer-events-none absolute top-[26px] left-1/2 z-20 hidden -translate-x-1/2 bg-ink px-2 py-1 text-[12.5px] leading-snug whitespace-nowrap text-paper group-hover:block group-focus-visible:block"
            aria-hidden="true"
          >
            <b>{{ pebble.widget }}</b>, {{ pebble.page }}, {{ pebble.placement }}<br />{{
              statuses[pebble.status].name
            }}
          </span>
        </RouterLink>
      </li>
    </ul>
  </div>
</template>

<script setup lang="ts">
import { statuses } from '@pebblestrand/core/verify/words'
import { computed } from 'vue'
import type { SiteRow } from '../api/types'
import Pebble from './Pebble.vue'
import { lie, strandLine } from './pebble-shape'

/** One site as a strand with its pebbles in page order; a pebble opens its install. */
const props = defineProps<{ site: SiteRow; slots: number }>()

const placed = computed(() =>
  props.site.pebbles.map((pebble, index) => {
    const { x, y } = lie(pebble.id)
    return { pebble, left: ((index + 0.5 + x) / props.slots) * 100, top: y * 5 }
  }),
)
</script>

<template>
  <div class="relative h-[26px] min-w-0">
    <svg
      class="absolute inset-x-0 bottom-[2px] h-2 w-full text-rule"
      viewBox="0 0 500 8"
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      <path
        :d="strandLine(site.id)"
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

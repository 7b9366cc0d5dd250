<script setup lang="ts">
import type { InstallStatus } from '@pebblestrand/core/verify/words'
import Pebble from '../../parts/Pebble.vue'
import { lie, strandLine } from '../../parts/pebble-shape'

/** Three strands with what can lie on them: a legend before one is needed. */
const strands: InstallStatus[][] = [
  ['confirmed', 'confirmed', 'planned', 'confirmed', 'confirmed', 'handed-over', 'confirmed', 'confirmed'],
  ['confirmed', 'pasted', 'confirmed', 'confirmed', 'confirmed', 'needs-a-hand', 'confirmed'],
  ['confirmed', 'confirmed', 'confirmed', 'retired', 'confirmed', 'confirmed', 'confirmed', 'planned', 'confirmed'],
]
</script>

<template>
  <div class="pb-8" aria-hidden="true">
    <div v-for="(strand, row) in strands" :key="row" class="relative h-9">
      <svg class="absolute inset-x-0 bottom-1 h-2 w-full text-rule" viewBox="0 0 500 8" preserveAspectRatio="none">
        <path
          :d="strandLine(`beach ${row}`)"
          fill="none"
          stroke="currentColor"
          stroke-width="1.500"
          vector-effect="non-scaling-stroke"
        />
      </svg>
      <span
        v-for="(status, index) in strand"
        :key="index"
        class="absolute bottom-[5px]"
        :style="{ left: `${((index + 0.6 + lie(`${row}.${index}`).x) / 10) * 100}%` }"
        ><Pebble :status="status" :seed="`${row}.${index}`" :size="19"
      /></span>
    </div>
  </div>
</template>

<script setup lang="ts">
import { contrastVerdict } from '@pebblestrand/core/look'
import type { Measured } from '@pebblestrand/core/kinds'
import { computed } from 'vue'
import { useWorkbench } from '../../stores/workbench'

/** What of the colours is hard to read, in which theme, each mended by one press where a setting can mend it. */
const props = defineProps<{ pairs: Measured[] }>()
const bench = useWorkbench()
const failing = computed(() => props.pairs.filter(({ passes }) => !passes))
const themes = { own: '', light: ' in light', dark: ' in dark' }
</script>

<template>
  <ul v-if="failing.length" class="mt-1 text-[14px]" aria-label="Hard to read">
    <li v-for="pair in failing" :key="`${pair.what} ${pair.theme}`" class="flex flex-wrap items-baseline gap-x-3">
      <span class="text-ochre"
        >{{ pair.what }}{{ themes[pair.theme] }}: {{ contrastVerdict(pair.ratio).says.split(',')[0] }}, wants
        {{ pair.least }}:1.</span
      >
      <button
        v-if="pair.mend"
        type="button"
        class="word"
        :aria-label="`${pair.what}: take ${pair.mend.colour}`"
        @click="bench.set(pair.mend.setting, pair.mend.colour)"
      >
        <span
          class="inline-block size-[11px] border border-soft align-baseline"
          :style="{ background: pair.mend.colour }"
          aria-hidden="true"
        />
        Take {{ pair.mend.colour }}
      </button>
    </li>
  </ul>
</template>

<script setup lang="ts">
import { readingSteps } from '@pebblestrand/contract'
import { computed } from 'vue'
import type { Reading } from '../queries/site-readings'

/** How far a site is read. */
const props = defineProps<{ reading: Reading }>()
const emit = defineEmits<{ stop: [] }>()

const says: Record<(typeof readingSteps)[number], string> = {
  page: 'Its first page',
  cache: 'Whether copies of it are kept: the same page once more',
  pages: 'Its pages, by navigation and site map',
  rooms: 'Its regions and their widths, in a browser at three widths',
}
const at = computed(() => (props.reading.step ? readingSteps.indexOf(props.reading.step) : -1))
const how = (step: number) => (step < at.value ? 'read' : step === at.value ? 'being read' : 'not yet')
</script>

<template>
  <div role="status" aria-live="polite">
    <ol class="ledger border-y border-rule">
      <li
        v-for="(step, index) in readingSteps"
        :key="step"
        class="flex gap-3 py-2"
        :class="{ 'text-soft': index > at }"
      >
        <span class="min-w-0 flex-1" :class="{ 'font-bold': index === at }">{{ says[step] }}</span>
        <span class="text-[13.5px]" :class="index < at ? 'text-kelp' : index === at ? 'text-tide' : 'text-soft'"
          >{{ how(index)
          }}<template v-if="index === at && reading.total > 1"
            >, {{ reading.done + 1 }} of {{ reading.total }}</template
          ></span
        >
      </li>
    </ol>
    <button type="button" class="word plain mt-4" data-first @click="emit('stop')">Stop reading</button>
  </div>
</template>

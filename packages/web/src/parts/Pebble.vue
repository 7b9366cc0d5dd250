<script setup lang="ts">
import { statuses, type InstallStatus } from '@pebblestrand/core/verify/words'
import { computed, useId } from 'vue'
import { pebbleShape } from './pebble-shape'

/** An install's state by form; the word for it stands near or is said on focus. */
const props = withDefaults(defineProps<{ status: InstallStatus; seed?: string; size?: number }>(), {
  seed: 'pebble',
  size: 17,
})

const shape = computed(() => pebbleShape(props.seed))
const clip = useId()
const colours: Record<InstallStatus, string> = {
  planned: 'text-ochre',
  'handed-over': 'text-tide',
  pasted: 'text-tide',
  confirmed: 'text-kelp',
  'needs-a-hand': 'text-coral',
  retired: 'text-soft',
}
const filled = computed(() => props.status === 'confirmed' || props.status === 'needs-a-hand')
</script>

<template>
  <svg
    :width="size"
    :height="size * 0.85"
    viewBox="0 0 20 17"
    class="inline-block shrink-0 overflow-visible"
    :class="colours[status]"
    role="img"
    :aria-label="statuses[status].name"
  >
    <clipPath v-if="status === 'pasted'" :id="clip"><rect x="0" y="8.500" width="20" height="9" /></clipPath>
    <path v-if="status === 'pasted'" :d="shape" fill="currentColor" :clip-path="`url(#${clip})`" />
    <path
      :d="shape"
      :fill="filled ? 'currentColor' : 'none'"
      stroke="currentColor"
      :stroke-width="filled ? 0 : 1.7"
      :stroke-dasharray="status === 'retired' ? '1.2 2.600' : undefined"
      stroke-linecap="round"
    />
    <circle v-if="status === 'handed-over'" cx="10" cy="8.500" r="2.500" fill="currentColor" />
    <path
      v-if="status === 'needs-a-hand'"
      d="M12.500 0.500 8.600 6.200 11.800 9.200 8 16.500"
      fill="none"
      stroke="var(--paper)"
      stroke-width="1.900"
      stroke-linejoin="round"
    />
  </svg>
</template>

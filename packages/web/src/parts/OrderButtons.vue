<script setup lang="ts">
import { ArrowDown, ArrowUp, X } from '@lucide/vue'

/** Moves one thing of an ordered list up or down, or takes it out. */
defineProps<{ at: number; count: number; labels: { up: string; down: string; out: string } }>()
const emit = defineEmits<{ move: [by: -1 | 1]; out: [] }>()
const face = 'grid size-6 shrink-0 cursor-pointer place-items-center disabled:opacity-40'
</script>

<template>
  <button type="button" :class="face" :aria-label="labels.up" :disabled="at === 0" @click="emit('move', -1)">
    <ArrowUp :size="14" />
  </button>
  <button type="button" :class="face" :aria-label="labels.down" :disabled="at === count - 1" @click="emit('move', 1)">
    <ArrowDown :size="14" />
  </button>
  <button type="button" :class="face" :aria-label="labels.out" @click="emit('out')"><X :size="14" /></button>
</template>

<script setup lang="ts">
import type { Piece } from '@pebblestrand/core/kinds'
import { computed, inject } from 'vue'
import { hintsKey } from '../hints'
import { componentFor } from './controls'

/** What opens at a value of the brief: its control, what is wrong with it, and what else there is to know. */
const props = defineProps<{ piece: Extract<Piece, { key: string }>; value: unknown; fault: string }>()
const emit = defineEmits<{ set: [value: unknown]; done: [] }>()

const hints = inject(hintsKey, () => [])
const component = computed(() => componentFor(props.piece.control))
</script>

<template>
  <p class="mb-2 text-[12.5px] font-semibold text-soft">{{ piece.label }}</p>
  <component
    :is="component"
    v-if="component"
    :control="piece.control"
    :value="value"
    :label="piece.label"
    @set="emit('set', $event)"
    @done="emit('done')"
  />
  <p v-if="fault" class="mt-2 text-coral">It {{ fault }}.</p>
  <p v-for="hint in hints(piece.hints ?? [])" :key="hint" class="mt-2">{{ hint }}</p>
</template>

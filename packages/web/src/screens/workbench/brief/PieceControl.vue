<script setup lang="ts">
import type { Piece } from '@pebblestrand/core/kinds'
import { computed, inject } from 'vue'
import { hintsKey } from '../hints'
import ChoiceControl from './ChoiceControl.vue'
import ColourControl from './ColourControl.vue'
import NumberControl from './NumberControl.vue'
import TextControl from './TextControl.vue'
import WordsControl from './WordsControl.vue'

/** What opens at a value of the brief: its control, what is wrong with it, and what else there is to know. */
const props = defineProps<{ piece: Extract<Piece, { key: string }>; value: unknown; fault: string }>()
const emit = defineEmits<{ set: [value: unknown]; done: [] }>()

const control = computed(() => props.piece.control)
const hints = inject(hintsKey, () => [])
const options = computed(() => {
  if (control.value.type === 'choice') return control.value.options
  if (control.value.type !== 'switch') return []
  return [
    { value: true, words: control.value.on },
    { value: false, words: control.value.off },
  ]
})
</script>

<template>
  <p class="mb-2 text-[12.5px] font-semibold text-soft">{{ piece.label }}</p>
  <NumberControl
    v-if="control.type === 'number'"
    :control="control"
    :value="Number(value)"
    :label="piece.label"
    @set="emit('set', $event)"
  />
  <ChoiceControl
    v-else-if="control.type === 'choice' || control.type === 'switch'"
    :options="options"
    :value="value"
    :label="piece.label"
    @set="emit('set', $event)"
    @done="emit('done')"
  />
  <WordsControl
    v-else-if="control.type === 'words'"
    :control="control"
    :value="value as string[]"
    :label="piece.label"
    @set="emit('set', $event)"
  />
  <TextControl
    v-else-if="control.type === 'text'"
    :control="control"
    :value="String(value)"
    :label="piece.label"
    @set="emit('set', $event)"
    @done="emit('done')"
  />
  <ColourControl
    v-else-if="control.type === 'colour'"
    :control="control"
    :value="String(value)"
    :label="piece.label"
    @set="emit('set', $event)"
  />
  <p v-if="fault" class="mt-2 text-coral">It {{ fault }}.</p>
  <p v-for="hint in hints(piece.key)" :key="hint" class="mt-2">{{ hint }}</p>
</template>

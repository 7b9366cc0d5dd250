<script setup lang="ts">
import type { Piece } from '@pebblestrand/core/kinds'
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { autoUpdate, flip, offset, shift, useFloating } from '@floating-ui/vue'
import { computed, inject, ref } from 'vue'
import { hintsKey } from '../hints'
import ChoiceControl from './ChoiceControl.vue'
import ColourControl from './ColourControl.vue'
import NumberControl from './NumberControl.vue'
import TextControl from './TextControl.vue'
import WordsControl from './WordsControl.vue'

const props = defineProps<{
  piece: Extract<Piece, { key: string }>
  value: unknown
  fault: string
  disabled: boolean
}>()
const emit = defineEmits<{ set: [value: unknown]; sources: [] }>()

const control = computed(() => props.piece.control)
const hints = inject(hintsKey, () => [])
const anchor = ref<HTMLElement | null>(null)
const panel = ref<HTMLElement | null>(null)
const { floatingStyles } = useFloating(anchor, panel, {
  placement: 'bottom-start',
  whileElementsMounted: autoUpdate,
  middleware: [offset(6), flip(), shift({ padding: 12 })],
})

/** A number is a spin button in the sentence itself: arrow keys change it without opening anything. */
const spin = computed(() =>
  control.value.type === 'number'
    ? {
        role: 'spinbutton',
        'aria-valuenow': Number(props.value),
        'aria-valuemin': control.value.min,
        'aria-valuemax': control.value.max,
        'aria-valuetext': props.piece.words,
      }
    : {},
)
const steps: Record<string, number> = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }
function onKey(event: KeyboardEvent): void {
  const by = steps[event.key]
  if (control.value.type !== 'number' || !by || props.disabled) return
  event.preventDefault()
  const { min, max, step } = control.value
  emit('set', Math.min(max, Math.max(min, Number(props.value) + by * step)))
}
const options = computed(() =>
  control.value.type === 'choice'
    ? control.value.options
    : control.value.type === 'switch'
      ? [
          { value: true, words: control.value.on },
          { value: false, words: control.value.off },
        ]
      : [],
)
const face =
  'cursor-pointer rounded-[1px] border-b border-kelp font-bold hover:bg-sand aria-expanded:bg-ink aria-expanded:text-paper aria-disabled:cursor-default aria-disabled:border-soft'
const openSources = () => !props.disabled && emit('sources')
</script>

<template>
  <!-- Spans, not buttons: a button cannot break over two lines of a sentence. -->
  <span
    v-if="control.type === 'sources'"
    role="button"
    tabindex="0"
    :class="face"
    :data-setting="piece.key"
    :aria-label="`${piece.label}: ${piece.words}`"
    :aria-disabled="disabled"
    @click="openSources"
    @keydown.enter="openSources"
    @keydown.space.prevent="openSources"
    >{{ piece.words }}</span
  >
  <Popover v-else v-slot="{ close }" as="span">
    <span ref="anchor"
      ><PopoverButton
        as="span"
        role="button"
        tabindex="0"
        :class="[face, fault ? 'border-coral text-coral' : '']"
        v-bind="spin"
        :data-setting="piece.key"
        :aria-label="`${piece.label}: ${piece.words}`"
        :aria-disabled="disabled"
        :disabled="disabled"
        @keydown="onKey"
        ><span
          v-if="control.type === 'colour' && value"
          class="mr-1 inline-block size-[11px] border border-soft align-baseline"
          :style="{ background: String(value) }"
          aria-hidden="true"
        />{{ piece.words }}</PopoverButton
      ></span
    >
    <PopoverPanel
      ref="panel"
      class="z-30 w-max max-w-[300px] min-w-[230px] border border-ink bg-sheet px-[14px] py-3 text-[14px] leading-normal"
      :style="floatingStyles"
      focus
    >
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
        @done="close()"
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
        @done="close()"
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
    </PopoverPanel>
  </Popover>
</template>

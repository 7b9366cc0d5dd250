<script setup lang="ts">
import type { Piece } from '@pebblestrand/core/kinds'
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { autoUpdate, flip, offset, shift, useFloating } from '@floating-ui/vue'
import { computed, inject, ref } from 'vue'
import { hintsKey } from '../hints'
import ChoiceControl from './ChoiceControl.vue'
import ColourControl from './ColourControl.vue'
import { face, faceWhen } from './faces'
import NumberControl from './NumberControl.vue'
import SpinFace from './SpinFace.vue'
import TextControl from './TextControl.vue'
import WordsControl from './WordsControl.vue'

/** One value of the brief, changed in place. Faces are spans: a button cannot break over two lines of a sentence. */
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

const named = computed(() => ({
  'aria-label': `${props.piece.label}: ${props.piece.words}`,
  'aria-disabled': props.disabled,
  'data-setting': props.piece.key,
}))
const options = computed(() => {
  if (control.value.type === 'choice') return control.value.options
  if (control.value.type !== 'switch') return []
  return [
    { value: true, words: control.value.on },
    { value: false, words: control.value.off },
  ]
})
const openSources = () => !props.disabled && emit('sources')
</script>

<template>
  <span
    v-if="control.type === 'sources'"
    role="button"
    tabindex="0"
    :class="face"
    v-bind="named"
    @click="openSources"
    @keydown.enter="openSources"
    @keydown.space.prevent="openSources"
    >{{ piece.words }}</span
  >
  <Popover v-else v-slot="{ open, close }" as="span">
    <span ref="anchor">
      <SpinFace
        v-if="control.type === 'number'"
        :control="control"
        :value="Number(value)"
        :words="piece.words"
        :label="piece.label"
        :setting="piece.key"
        :open="open"
        :fault="fault !== ''"
        :disabled="disabled"
        @set="emit('set', $event)"
      />
      <PopoverButton
        v-else
        as="span"
        role="button"
        tabindex="0"
        :class="[face, faceWhen(open), fault ? 'border-coral text-coral' : '']"
        v-bind="named"
        :disabled="disabled"
        ><span
          v-if="control.type === 'colour' && value"
          class="mr-1 inline-block size-[11px] border border-soft align-baseline"
          :style="{ background: String(value) }"
          aria-hidden="true"
        />{{ piece.words }}</PopoverButton
      >
    </span>
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

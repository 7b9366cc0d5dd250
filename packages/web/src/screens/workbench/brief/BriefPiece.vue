<script setup lang="ts">
import type { Piece } from '@pebblestrand/core/kinds'
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { computed, ref } from 'vue'
import { hasSheet, type WithSheet } from './controls'
import { face, faceWhen, panelFace, usePlacing } from './faces'
import PieceControl from './PieceControl.vue'
import SpinPiece from './SpinPiece.vue'

/** One value of the brief, changed in place. Faces are spans: a button cannot break over two lines of a sentence. */
const props = defineProps<{
  piece: Extract<Piece, { key: string }>
  value: unknown
  fault: string
  disabled: boolean
}>()
const emit = defineEmits<{ set: [value: unknown]; sheet: [which: WithSheet] }>()

const control = computed(() => props.piece.control)
const anchor = ref<HTMLElement | null>(null)
const panel = ref<HTMLElement | null>(null)
const placing = usePlacing(anchor, panel)
const named = computed(() => ({
  'aria-label': `${props.piece.label}: ${props.piece.words}`,
  'aria-disabled': props.disabled,
  'data-setting': props.piece.key,
}))
const opens = computed(() => (hasSheet(control.value.type) ? control.value.type : null))
function openSheet(): void {
  if (!props.disabled && opens.value) emit('sheet', opens.value)
}
</script>

<template>
  <span
    v-if="opens"
    role="button"
    tabindex="0"
    :class="face"
    v-bind="named"
    @click="openSheet"
    @keydown.enter="openSheet"
    @keydown.space.prevent="openSheet"
    >{{ piece.words }}</span
  >
  <SpinPiece
    v-else-if="control.type === 'number'"
    :control="control"
    :value="Number(value)"
    :words="piece.words"
    :label="piece.label"
    :setting="piece.key"
    :fault="fault !== ''"
    :disabled="disabled"
    @set="emit('set', $event)"
  >
    <PieceControl :piece="piece" :value="value" :fault="fault" @set="emit('set', $event)" />
  </SpinPiece>
  <Popover v-else v-slot="{ open, close }" as="span">
    <span ref="anchor">
      <PopoverButton
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
    <PopoverPanel ref="panel" :class="panelFace" :style="placing" focus>
      <PieceControl :piece="piece" :value="value" :fault="fault" @set="emit('set', $event)" @done="close()" />
    </PopoverPanel>
  </Popover>
</template>

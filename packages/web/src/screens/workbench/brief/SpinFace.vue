<script setup lang="ts">
import type { Control } from '@pebblestrand/core/kinds'
import { PopoverButton } from '@headlessui/vue'
import { nextTick, ref } from 'vue'
import { face, faceWhen } from './faces'

/**
 * A number in the sentence: a spin button that arrow keys change without opening anything; a click or Enter opens its
 * control. A spin button cannot say that something is open, so the popover has a button of its own behind it.
 */
const props = defineProps<{
  control: Extract<Control, { type: 'number' }>
  value: number
  words: string
  label: string
  setting: string
  open: boolean
  fault: boolean
  disabled: boolean
}>()
const emit = defineEmits<{ set: [value: number] }>()
const spin = ref<HTMLElement | null>(null)
const behind = ref<{ el: HTMLElement } | null>(null)

const steps: Record<string, number> = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }
function onKey(event: KeyboardEvent): void {
  if (props.disabled) return
  const by = steps[event.key]
  const { min, max, step } = props.control
  if (by) emit('set', Math.min(max, Math.max(min, props.value + by * step)))
  else if (event.key === 'Home') emit('set', min)
  else if (event.key === 'End') emit('set', max)
  else if (event.key === 'Enter') behind.value?.el.click()
  else return
  event.preventDefault()
}
/** The popover hands the focus back to its own button when it closes; it belongs to the number. */
async function passFocusOn(): Promise<void> {
  await nextTick()
  if (!props.open) spin.value?.focus()
}
const toggle = () => !props.disabled && behind.value?.el.click()
</script>

<template>
  <span
    ref="spin"
    role="spinbutton"
    tabindex="0"
    :class="[face, faceWhen(open), fault ? 'border-coral text-coral' : '']"
    :data-setting="setting"
    :aria-label="`${label}: ${words}`"
    :aria-valuenow="value"
    :aria-valuemin="control.min"
    :aria-valuemax="control.max"
    :aria-valuetext="words"
    :aria-disabled="disabled"
    @keydown="onKey"
    @click="toggle"
    >{{ words }}</span><PopoverButton
    ref="behind"
    tabindex="-1"
    aria-hidden="true"
    class="sr-only"
    @focus="passFocusOn"
  />
</template>

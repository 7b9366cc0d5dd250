<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import { nextTick, ref } from 'vue'
import { onElsewhere } from '../../../parts/elsewhere'
import { face, faceWhen, panelFace, usePlacing } from './faces'

/**
 * A number in the sentence: a spin button that arrow keys change without opening anything; a click or Enter opens its
 * control. The popover is its own, since a spin button may not say that it has something open.
 */
const props = defineProps<{
  control: ControlOf<'number'>
  value: number
  words: string
  label: string
  setting: string
  fault: boolean
  disabled: boolean
}>()
const emit = defineEmits<{ set: [value: number] }>()
const spin = ref<HTMLElement | null>(null)
const panel = ref<HTMLElement | null>(null)
const open = ref(false)
const placing = usePlacing(spin, panel)

async function toggle(): Promise<void> {
  if (props.disabled) return
  open.value = !open.value
  await nextTick()
  panel.value?.querySelector<HTMLElement>('button:not(:disabled), input')?.focus()
}
function close(): void {
  open.value = false
  spin.value?.focus()
}

const steps: Record<string, number> = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }
function onKey(event: KeyboardEvent): void {
  if (props.disabled) return
  const by = steps[event.key]
  const { min, max, step } = props.control
  if (by) emit('set', Math.min(max, Math.max(min, props.value + by * step)))
  else if (event.key === 'Home') emit('set', min)
  else if (event.key === 'End') emit('set', max)
  else if (event.key === 'Enter') void toggle()
  else if (event.key === 'Escape') close()
  else return
  event.preventDefault()
}

onElsewhere(
  () => [spin.value, panel.value],
  () => (open.value = false),
)
</script>

<template>
  <span
    ref="spin"
    role="spinbutton"
    tabindex="0"
    class="whitespace-nowrap"
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
    >{{ words }}</span
  >
  <div
    v-if="open"
    ref="panel"
    role="group"
    :aria-label="label"
    :class="panelFace"
    :style="placing"
    @keydown.esc.prevent="close"
  >
    <slot />
  </div>
</template>

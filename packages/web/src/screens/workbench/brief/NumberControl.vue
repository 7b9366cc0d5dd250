<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import TypedField from '../../../parts/TypedField.vue'

const props = defineProps<{ control: ControlOf<'number'>; value: number; label: string }>()
const emit = defineEmits<{ set: [value: number] }>()
const to = (value: number) => emit('set', Math.min(props.control.max, Math.max(props.control.min, value)))
const typed = (text: string) => {
  const value = Number(text)
  if (Number.isFinite(value)) to(Math.round(value))
}
</script>

<template>
  <div class="flex items-center gap-3">
    <button
      type="button"
      class="cursor-pointer border border-rule px-2 py-[1px] disabled:opacity-50"
      aria-label="Less"
      :disabled="value <= control.min"
      @click="to(value - control.step)"
    >
      ←
    </button>
    <TypedField
      class="w-[58px] border-0 bg-transparent text-center font-display text-[22px] font-bold [appearance:textfield]"
      type="number"
      :aria-label="label"
      :min="control.min"
      :max="control.max"
      :step="control.step"
      :value="value"
      @change="typed"
    />
    <button
      type="button"
      class="cursor-pointer border border-rule px-2 py-[1px] disabled:opacity-50"
      aria-label="More"
      :disabled="value >= control.max"
      @click="to(value + control.step)"
    >
      →
    </button>
    <span class="ml-auto text-soft">{{ control.unit }} {{ control.min }} to {{ control.max }}</span>
  </div>
</template>

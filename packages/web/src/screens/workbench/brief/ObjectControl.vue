<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import { computed } from 'vue'
import { componentFor } from './controls'

/** Several values under one name: a row for each, its name beside it. */
const props = defineProps<{ control: ControlOf<'object'>; value: Record<string, unknown>; label: string }>()
const emit = defineEmits<{ set: [value: Record<string, unknown>]; done: [] }>()
const parts = computed(() =>
  Object.fromEntries(
    Object.entries(props.control.parts).filter(
      ([, { when }]) => !when || when.is.includes(String(props.value[when.part])),
    ),
  ),
)
const set = (name: string, value: unknown) => emit('set', { ...props.value, [name]: value })
</script>

<template>
  <div class="-m-1 grid max-h-[320px] gap-[6px] overflow-auto p-1" role="group" :aria-label="label">
    <div
      v-for="(part, name) in parts"
      :key="name"
      class="grid grid-cols-[minmax(72px,auto)_minmax(0,1fr)] items-baseline gap-3"
    >
      <p class="text-[12.5px] text-soft" aria-hidden="true">{{ part.label }}</p>
      <component
        :is="componentFor(part.control)"
        :control="part.control"
        :value="value[name]"
        :label="`${label}: ${part.label}`"
        @set="set(String(name), $event)"
        @done="emit('done')"
      />
    </div>
  </div>
</template>

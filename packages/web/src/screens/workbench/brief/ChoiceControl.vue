<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import OptionList from './OptionList.vue'

defineProps<{ control: ControlOf<'choice'>; value: string; label: string }>()
const emit = defineEmits<{ set: [value: unknown]; done: [] }>()
</script>

<template>
  <OptionList
    :options="control.options"
    :value="value"
    :label="label"
    @set="emit('set', $event)"
    @done="emit('done')"
  />
</template>

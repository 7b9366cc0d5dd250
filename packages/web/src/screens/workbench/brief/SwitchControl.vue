<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import { computed } from 'vue'
import OptionList from './OptionList.vue'

const props = defineProps<{ control: ControlOf<'switch'>; value: boolean; label: string }>()
const emit = defineEmits<{ set: [value: unknown]; done: [] }>()
const options = computed(() => [
  { value: true, words: props.control.on },
  { value: false, words: props.control.off },
])
</script>

<template>
  <OptionList :options="options" :value="value" :label="label" @set="emit('set', $event)" @done="emit('done')" />
</template>

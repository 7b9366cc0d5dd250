<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'

defineProps<{ control: ControlOf<'text'>; value: string; label: string }>()
const emit = defineEmits<{ set: [value: string]; done: [] }>()
</script>

<template>
  <input
    class="field"
    :value="value"
    :maxlength="control.most"
    :aria-label="label"
    @input="emit('set', ($event.target as HTMLInputElement).value)"
    @keydown.enter.prevent="emit('done')"
  />
</template>

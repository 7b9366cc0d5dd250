<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import AddressField from '../../../parts/AddressField.vue'

defineProps<{ control: ControlOf<'link'>; value: string; label: string }>()
const emit = defineEmits<{ set: [value: string]; done: [] }>()
</script>

<template>
  <AddressField
    class="field w-[280px] max-w-full"
    :maxlength="control.most"
    :aria-label="label"
    :value="value"
    @change="emit('set', $event)"
  />
</template>

<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import TypedField from '../../../parts/TypedField.vue'

/** A day and a time, on the clocks of the site. */
defineProps<{ control: ControlOf<'local-time'>; value: string; label: string }>()
const emit = defineEmits<{ set: [value: string]; done: [] }>()
</script>

<template>
  <div>
    <TypedField
      class="field"
      type="datetime-local"
      :value="value"
      :aria-label="label"
      @change="(text: string) => emit('set', text.slice(0, 16))"
      @keydown.enter.prevent="emit('done')"
    />
    <p class="mt-1 flex gap-3 text-[13px] text-soft">
      <span>On the clocks of the site.</span>
      <button v-if="value" type="button" class="word text-[13px]" @click="emit('set', '')">{{ control.none }}</button>
    </p>
  </div>
</template>

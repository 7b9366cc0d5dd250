<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import { computed } from 'vue'
import TypedField from '../../../parts/TypedField.vue'

/** A day, a time of any day, or both, on the clocks of the site. */
const props = defineProps<{ control: ControlOf<'local-time' | 'time-of-day' | 'day'>; value: string; label: string }>()
const emit = defineEmits<{ set: [value: string]; done: [] }>()
/** What the browser's field is, and how many letters of what it says count: seconds do not. */
const fields = {
  'local-time': { type: 'datetime-local', letters: 16 },
  'time-of-day': { type: 'time', letters: 5 },
  day: { type: 'date', letters: 10 },
} as const
const field = computed(() => fields[props.control.type])
</script>

<template>
  <div>
    <TypedField
      class="field"
      :type="field.type"
      :value="value"
      :aria-label="label"
      @change="(text: string) => emit('set', text.slice(0, field.letters))"
      @keydown.enter.prevent="emit('done')"
    />
    <p class="mt-1 flex gap-3 text-[13px] text-soft">
      <span v-if="control.type !== 'day'">On the clocks of the site.</span>
      <button v-if="value" type="button" class="word text-[13px]" @click="emit('set', '')">{{ control.none }}</button>
    </p>
  </div>
</template>

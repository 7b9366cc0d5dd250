<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import { computed, inject } from 'vue'
import { inEnglish, usualLabelsKey } from './usual-labels'

/** Words of the widget itself. As long as nobody rewords them they say what its language says; emptied, they are left out. */
const props = defineProps<{ control: ControlOf<'label'>; value: string | null; label: string }>()
const emit = defineEmits<{ set: [value: string | null]; done: [] }>()
const labels = inject(usualLabelsKey, inEnglish, true)
const usual = computed(() => labels.value[props.control.says])
</script>

<template>
  <div class="min-w-0">
    <input
      class="field"
      :value="value ?? usual"
      :maxlength="control.most"
      :aria-label="label"
      @input="emit('set', ($event.target as HTMLInputElement).value)"
      @keydown.enter.prevent="emit('done')"
    />
    <p v-if="value !== null" class="mt-[2px] flex gap-3 text-[12.5px] text-soft">
      <span v-if="value === ''">{{ control.names ? `says “${usual}” all the same` : 'left out' }}</span>
      <button
        type="button"
        class="word plain text-[12.5px]"
        :aria-label="`${label}: as usual`"
        @click="emit('set', null)"
      >
        as usual
      </button>
    </p>
  </div>
</template>

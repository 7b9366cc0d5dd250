<script setup lang="ts">
import type { Field, When } from '@pebblestrand/core/forms'
import { computed } from 'vue'
import Labelled from '../../../parts/Labelled.vue'

/** Whether it is asked for always, or only where an earlier field has one of some answers. */
const props = defineProps<{ when: When | null; earlier: Field[]; fault?: string }>()
const emit = defineEmits<{ set: [when: When | null] }>()

/** Answers that a field can have, where there are a few of them. */
function answersOf(field: Field): { value: string; words: string }[] {
  if (field.is === 'one-of' || field.is === 'several-of') return field.options
  if (field.is === 'rating')
    return Array.from({ length: field.most }, (_, i) => ({ value: String(i + 1), words: `${i + 1} ★` }))
  if (field.is === 'tick' || field.is === 'consent')
    return [
      { value: 'yes', words: 'ticked' },
      { value: 'no', words: 'not ticked' },
    ]
  return []
}
const deciding = computed(() => props.earlier.filter((field) => answersOf(field).length))
const other = computed(() => deciding.value.find(({ name }) => name === props.when?.field))
function choose(name: string): void {
  const field = deciding.value.find((one) => one.name === name)
  emit('set', field ? { field: name, is: [answersOf(field)[0]!.value] } : null)
}
function toggle(value: string, on: boolean): void {
  const is = on ? [...props.when!.is, value] : props.when!.is.filter((one) => one !== value)
  if (is.length) emit('set', { ...props.when!, is })
}
</script>

<template>
  <div v-if="deciding.length || when">
    <Labelled v-slot="{ id }" label="Asked for" :fault="fault">
      <select
        :id="id"
        class="field"
        :value="when?.field ?? ''"
        @change="choose(($event.target as HTMLSelectElement).value)"
      >
        <option value="">always</option>
        <option v-for="field in deciding" :key="field.name" :value="field.name">
          only by what is answered to “{{ 'label' in field ? field.label : field.name }}”
        </option>
      </select>
    </Labelled>
    <fieldset v-if="when && other" class="-mt-2 mb-4">
      <legend class="label">where that is</legend>
      <label v-for="answer in answersOf(other)" :key="answer.value" class="mr-4 inline-flex items-center gap-[6px]"
        ><input
          type="checkbox"
          class="accent-kelp"
          :checked="when.is.includes(answer.value)"
          @change="toggle(answer.value, ($event.target as HTMLInputElement).checked)"
        />
        {{ answer.words }}</label
      >
    </fieldset>
  </div>
</template>

<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import { computed, ref } from 'vue'

/** Some of a few values; of many, narrowed by typing. */
const props = defineProps<{ control: ControlOf<'several'>; value: string[]; label: string }>()
const emit = defineEmits<{ set: [value: string[]] }>()

/** From so many on they are looked for by typing. */
const MANY = 12
const words = ref('')
const isMany = computed(() => props.control.options.length > MANY)
const shown = computed(() => {
  const wanted = words.value.trim().toLowerCase()
  const fits = props.control.options.filter(({ words: name }) => name.toLowerCase().includes(wanted))
  // What is chosen stands first, where it can be taken out again.
  const isChosen = ({ value }: { value: string }) => props.value.includes(value)
  return isMany.value ? [...fits.filter(isChosen), ...fits.filter((one) => !isChosen(one))] : fits
})
function toggle(value: string, on: boolean): void {
  const chosen = new Set(on ? [...props.value, value] : props.value.filter((one) => one !== value))
  emit(
    'set',
    props.control.options.map((one) => one.value).filter((one) => chosen.has(one)),
  )
}
</script>

<template>
  <div>
    <input
      v-if="isMany"
      v-model="words"
      type="search"
      class="field mb-2"
      :aria-label="`${label}: narrow the list`"
      placeholder="Narrow the list"
    />
    <fieldset class="m-0 max-h-[260px] overflow-auto border-0 p-0">
      <legend class="sr-only">{{ label }}</legend>
      <label v-for="option in shown" :key="option.value" class="flex cursor-pointer items-center gap-2 py-[3px]">
        <input
          type="checkbox"
          class="accent-kelp"
          :checked="value.includes(option.value)"
          @change="toggle(option.value, ($event.target as HTMLInputElement).checked)"
        />
        {{ option.words }}
      </label>
    </fieldset>
    <p class="mt-2 text-[13px] text-soft">None chosen: {{ control.none }}.</p>
  </div>
</template>

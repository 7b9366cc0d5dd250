<script setup lang="ts">
import { computed, useId } from 'vue'

/** One of several values, by their words. */
const { options, value } = defineProps<{
  options: readonly { value: unknown; words: string }[]
  value: unknown
  label: string
}>()
const emit = defineEmits<{ set: [value: unknown]; done: [] }>()
const name = useId()
/** Where the list is come to: at what is chosen, not at the first. */
const entry = computed(() => options.find((option) => option.value === value) ?? options[0])
</script>

<template>
  <fieldset class="m-0 max-h-[280px] overflow-auto border-0 p-0">
    <legend class="sr-only">{{ label }}</legend>
    <label
      v-for="option in options"
      :key="String(option.value)"
      class="flex cursor-pointer items-center gap-2 py-[3px]"
    >
      <input
        type="radio"
        :name="name"
        :checked="option.value === value"
        :tabindex="option === entry ? 0 : -1"
        @change="emit('set', option.value)"
        @keydown.enter.prevent="emit('done')"
      />
      {{ option.words }}
    </label>
  </fieldset>
</template>

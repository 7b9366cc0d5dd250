<script setup lang="ts">
import { aboveFields } from '../api/error'
import Fault from './Fault.vue'
import Panel from './Panel.vue'
import { useSubmission } from './submission'

/** A form on a sheet of its own: fields in the slot, one button. What is wrong is said and what was typed stays. */
const props = defineProps<{
  title: string
  does: string
  run: () => Promise<unknown>
  wide?: boolean
  widest?: boolean
}>()
const emit = defineEmits<{ close: []; done: [] }>()
const { busy, error, about, submit } = useSubmission(async () => {
  await props.run()
  emit('done')
})
</script>

<template>
  <Panel :open="true" :title="title" :wide="wide" :widest="widest" @close="emit('close')">
    <form novalidate @submit.prevent="submit">
      <Fault v-if="error" :error="aboveFields(error)" class="mb-4" />
      <slot :about="about" />
      <div class="mt-1 flex flex-wrap items-center gap-x-5 gap-y-2">
        <button class="act" :disabled="busy">{{ does }}</button>
        <slot name="beside" />
      </div>
    </form>
  </Panel>
</template>

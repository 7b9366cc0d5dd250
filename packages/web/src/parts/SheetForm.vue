<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ApiError } from '../api/error'
import { asApiError } from '../api/error'
import Fault from './Fault.vue'
import Panel from './Panel.vue'

/** A form on a sheet of its own: fields in the slot, one button. What is wrong is said and what was typed stays. */
const props = defineProps<{ title: string; does: string; run: () => Promise<unknown>; wide?: boolean }>()
const emit = defineEmits<{ close: []; done: [] }>()
const error = ref<ApiError | null>(null)
const busy = ref(false)
/** Fields say themselves what is wrong with them; above stands how many do. */
const said = computed(() => {
  if (error.value?.code !== 'invalid' || !error.value.issues.length) return error.value
  const count = error.value.issues.length
  const message = count === 1 ? 'One field is not right yet.' : `${count} fields are not right yet.`
  return { message, remedy: 'Correct what is marked; everything else is kept.' }
})
const about = (field: string) => error.value?.about(field) ?? ''

async function submit(): Promise<void> {
  busy.value = true
  error.value = null
  try {
    await props.run()
    emit('done')
  } catch (e) {
    error.value = asApiError(e)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <Panel :open="true" :title="title" :wide="wide" @close="emit('close')">
    <form novalidate @submit.prevent="submit">
      <Fault v-if="said" :error="said" class="mb-4" />
      <slot :about="about" />
      <button class="act mt-1" :disabled="busy">{{ does }}</button>
    </form>
  </Panel>
</template>

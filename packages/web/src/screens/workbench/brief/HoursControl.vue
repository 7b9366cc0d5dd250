<script setup lang="ts">
import { HoursFault, readHours, writtenHours, type DayHours } from '@pebblestrand/core/hours'
import type { ControlOf } from '@pebblestrand/core/kinds'
import { ref, useId, watch } from 'vue'

/** The openings of one day, as they are typed: "9-12, 13:30-17". What cannot be read stays, with the reason below it. */
const props = defineProps<{ control?: ControlOf<'hours'>; value: DayHours; label: string }>()
const emit = defineEmits<{ set: [value: DayHours]; done: [] }>()
const id = useId()
const typed = ref(writtenHours(props.value))
const fault = ref('')

watch(
  () => writtenHours(props.value),
  (written) => {
    typed.value = written
    fault.value = ''
  },
)

function take(): void {
  try {
    const hours = readHours(typed.value)
    fault.value = ''
    typed.value = writtenHours(hours)
    if (writtenHours(props.value) !== typed.value) emit('set', hours)
  } catch (error) {
    if (!(error instanceof HoursFault)) throw error
    fault.value = error.message
  }
}
</script>

<template>
  <div>
    <input
      v-model="typed"
      class="field"
      placeholder="closed"
      :aria-label="label"
      :aria-invalid="fault ? true : undefined"
      :aria-describedby="fault ? id : undefined"
      @change="take"
      @keydown.enter.prevent="(take(), !fault && emit('done'))"
    />
    <p v-if="fault" :id="id" class="mt-1 text-[13px] text-coral" role="alert">It {{ fault }}.</p>
  </div>
</template>

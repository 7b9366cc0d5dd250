<script setup lang="ts">
import { Copy } from '@lucide/vue'
import { WEEKDAYS, writtenHours, type DayHours, type Week } from '@pebblestrand/core/hours'
import HoursControl from './HoursControl.vue'

/** The openings of each day of a week; those of a day can be copied to the days below it. */
const props = defineProps<{ value: Week; label: string }>()
const emit = defineEmits<{ set: [value: Week]; done: [] }>()

const set = (at: number, hours: DayHours) => emit('set', props.value.with(at, hours))
const sameAs = (at: number, other: number) => writtenHours(props.value[at]!) === writtenHours(props.value[other]!)
</script>

<template>
  <div role="group" :aria-label="label">
    <ol class="grid gap-[6px]">
      <li v-for="(day, at) in WEEKDAYS" :key="day" class="grid grid-cols-[80px_minmax(0,1fr)_24px] items-center gap-2">
        <p class="text-[13px] text-soft" aria-hidden="true">{{ day }}</p>
        <HoursControl :value="value[at]!" :label="day" @set="set(at, $event)" @done="emit('done')" />
        <button
          v-if="at > 0"
          type="button"
          class="flex h-[24px] w-[24px] items-center justify-center text-soft hover:text-ink"
          :class="{ invisible: sameAs(at, at - 1) }"
          :aria-label="`${day}: copy from ${WEEKDAYS[at - 1]}`"
          :title="`Copy from ${WEEKDAYS[at - 1]}`"
          @click="set(at, value[at - 1]!)"
        >
          <Copy :size="15" aria-hidden="true" />
        </button>
      </li>
    </ol>
    <p class="mt-2 text-[13px] text-soft">For example 9-17, or 9-12, 13:30-17. Leave it empty for closed.</p>
  </div>
</template>

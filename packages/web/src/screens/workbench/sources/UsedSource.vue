<script setup lang="ts">
import { duration } from '@pebblestrand/core/words'
import { ref } from 'vue'
import { asApiError } from '../../../api/error'
import type { SourceInfo } from '../../../api/types'
import { sayFault } from '../../../frame/notices'
import { shortAddress } from '../../../parts/address'
import TimeAgo from '../../../parts/TimeAgo.vue'
import { useWorkbench } from '../../../stores/workbench'

/** A source the widget reads: how it is, how often it is read, and reading it now. */
const props = defineProps<{ source: SourceInfo }>()
const emit = defineEmits<{ drop: [] }>()
const bench = useWorkbench()
const busy = ref(false)
const usual = [5, 15, 30, 60, 180, 720, 1440, 10_080]
const intervals = [...new Set([...usual, props.source.intervalMinutes])].sort((a, b) => a - b)

async function change(to: { intervalMinutes: number } | 'refresh'): Promise<void> {
  busy.value = true
  await bench.changeSource(props.source.id, to).catch((error: unknown) => sayFault(asApiError(error)))
  busy.value = false
}
</script>

<template>
  <li class="py-2">
    <div class="flex flex-wrap items-baseline gap-x-3">
      <RouterLink
        :to="`/sources/${source.id}`"
        class="inline-block min-h-6 py-px font-bold text-ink underline underline-offset-3"
        >{{ source.title }}</RouterLink
      >
      <span v-if="!source.keptHere" class="text-[13px] text-soft">{{ shortAddress(source.url, 44) }}</span>
      <button type="button" class="word ml-auto" :aria-label="`Leave out ${source.title}`" @click="emit('drop')">
        Leave out
      </button>
    </div>
    <p v-if="source.problem" class="text-[14px] text-coral">{{ source.problem.message }} {{ source.problem.remedy }}</p>
    <p v-for="note in source.notes" :key="note" class="text-[14px] text-ochre">{{ note }}</p>
    <p v-if="source.keptHere" class="text-[14px] text-soft">Written here: what is changed there is shown at once.</p>
    <p v-else class="flex flex-wrap items-baseline gap-x-4 text-[14px] text-soft">
      <label class="flex items-baseline gap-1"
        >Read every
        <select
          class="min-h-6 cursor-pointer bg-transparent font-bold text-ink"
          :value="source.intervalMinutes"
          :disabled="busy"
          @change="change({ intervalMinutes: Number(($event.target as HTMLSelectElement).value) })"
        >
          <option v-for="minutes in intervals" :key="minutes" :value="minutes">{{ duration(minutes) }}</option>
        </select></label
      >
      <span v-if="source.okAt"
        >{{ source.problem ? 'the copy that stays up is from' : 'last read' }} <TimeAgo :at="source.okAt"
      /></span>
      <button type="button" class="word" :disabled="busy" @click="change('refresh')">
        {{ busy ? 'One moment …' : 'Read it now' }}
      </button>
    </p>
  </li>
</template>

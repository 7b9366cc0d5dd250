<script setup lang="ts">
import { methods, type MethodId } from '@pebblestrand/core/methods'
import { statuses, type InstallStatus } from '@pebblestrand/core/verify/words'
import type { InstallDetail } from '../../api/types'
import Pebble from '../../parts/Pebble.vue'
import TimeAgo from '../../parts/TimeAgo.vue'

defineProps<{ entries: InstallDetail['timeLine'] }>()
type Entry = InstallDetail['timeLine'][number]

const forms: Record<string, InstallStatus> = {
  planned: 'planned',
  pasted: 'pasted',
  unpasted: 'planned',
  retiring: 'retired',
  retired: 'retired',
  kept: 'pasted',
  method: 'planned',
  'width-changed': 'pasted',
}
const form = (entry: Entry): InstallStatus =>
  entry.verb === 'checked' ? (entry.data.status as InstallStatus) : (forms[entry.verb] ?? 'planned')

function says(entry: Entry): string {
  const by = entry.by ? ` by ${entry.by}` : ''
  switch (entry.verb) {
    case 'planned':
      return `Planned${by}`
    case 'pasted':
      return `Pasted${by}`
    case 'unpasted':
      return `Not pasted after all${by}`
    case 'checked':
      return entry.data.title
        ? String(entry.data.title)
        : statuses[entry.data.status as InstallStatus].name.replace(/^./, (c) => c.toUpperCase())
    case 'width-changed':
      return String(entry.data.title)
    case 'retiring':
      return `To be taken out${by}`
    case 'retired':
      return 'Gone, proved'
    case 'kept':
      return `Stays after all${by}`
    case 'method':
      return `Now as ${methods[entry.data.method as MethodId].name}${by}`
    default:
      return entry.verb
  }
}
</script>

<template>
  <section aria-labelledby="time-line">
    <h2 id="time-line" class="label font-sans">Time line</h2>
    <ol>
      <li v-for="entry in entries" :key="entry.id" class="flex items-baseline gap-3 py-[3px] text-[13.5px]">
        <Pebble :status="form(entry)" :seed="entry.id" :size="14" class="self-center" />
        <span class="min-w-0 flex-1">{{ says(entry) }}</span>
        <span class="whitespace-nowrap text-soft"><TimeAgo :at="entry.at" /></span>
      </li>
    </ol>
  </section>
</template>

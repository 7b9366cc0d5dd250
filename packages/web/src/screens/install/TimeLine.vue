<script setup lang="ts">
import { methodNames, type MethodId } from '@pebblestrand/core/methods/words'
import { statuses, type InstallStatus } from '@pebblestrand/core/verify/words'
import type { InstallDetail } from '../../api/types'
import Pebble from '../../parts/Pebble.vue'
import TimeAgo from '../../parts/TimeAgo.vue'

defineProps<{ entries: InstallDetail['timeLine'] }>()
type Entry = InstallDetail['timeLine'][number]

const forms: Record<string, InstallStatus> = {
  planned: 'planned',
  'handed-over': 'handed-over',
  reminded: 'handed-over',
  trouble: 'needs-a-hand',
  downloaded: 'planned',
  pasted: 'pasted',
  unpasted: 'planned',
  retiring: 'retired',
  retired: 'retired',
  kept: 'pasted',
  method: 'planned',
  held: 'confirmed',
  followed: 'confirmed',
  swapped: 'confirmed',
  'swap-planned': 'planned',
  'swap-dropped': 'planned',
  'swap-failed': 'needs-a-hand',
  'width-changed': 'pasted',
}
const form = (entry: Entry): InstallStatus =>
  entry.verb === 'checked' ? (entry.data.status as InstallStatus) : (forms[entry.verb] ?? 'planned')

/** What was done, without who did it; what is noted with it is of that verb. */
const done: Record<string, (data: Entry['data']) => string> = {
  planned: () => 'Planned',
  'handed-over': ({ to, way, purpose }) =>
    `Handed ${to ? `to ${String(to)}` : 'over'} ${way === 'mail' ? 'by mail' : 'by a private link'}${purpose === 'remove' ? ', to be taken out' : ''}`,
  reminded: ({ to }) => `${String(to)} was reminded`,
  downloaded: ({ form }) => `Saved as a file (${String(form)})`,
  pasted: ({ by }) => (by ? `${String(by)} says that it is pasted` : 'Pasted'),
  unpasted: () => 'Not pasted after all',
  retiring: () => 'To be taken out',
  kept: () => 'Stays after all',
  method: ({ method }) => `Now as ${methodNames[method as MethodId].name}`,
  held: ({ release }) => `Held at release ${String(release)}`,
  followed: () => 'Follows the newest release',
  swapped: ({ before, after }) => `${String(after)} in place of ${String(before)}`,
  'swap-planned': ({ after }) => `A swap to ${String(after)} is planned`,
  'swap-dropped': () => 'A planned swap is dropped',
}
/** What nobody did, or what a check saw. */
const seen: Record<string, (data: Entry['data']) => string> = {
  checked: ({ title, status }) =>
    title ? String(title) : statuses[status as InstallStatus].name.replace(/^./, (c) => c.toUpperCase()),
  trouble: ({ by, note }) => `${by ? String(by) : 'Whoever pastes'}: “${String(note)}”`,
  'width-changed': ({ title }) => String(title),
  retired: () => 'Gone, proved',
  'swap-failed': ({ problem }) => `A planned swap could not be done: ${String(problem)}`,
}
function says({ verb, data, by }: Entry): string {
  const own = seen[verb]?.(data)
  return own ?? `${done[verb]?.(data) ?? verb}${by ? ` by ${by}` : ''}`
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

<script setup lang="ts">
import type { ReadRoom } from '../queries/site-readings'

/** Rooms for widgets as they were read, each to be kept or left, its widths to be corrected. */
export interface RoomChoice extends Omit<ReadRoom, 'widths'> {
  kept: boolean
  desktop: number | null
  tablet: number | null
  phone: number | null
}
const rooms = defineModel<RoomChoice[]>({ required: true })
defineProps<{ about: (field: string) => string }>()
const windows = ['desktop', 'tablet', 'phone'] as const
</script>

<template>
  <table class="w-full text-[14px]">
    <caption class="sr-only">
      Regions and how wide they are, in px
    </caption>
    <thead>
      <tr class="border-b border-rule text-left text-[13px] text-soft">
        <th class="py-1 font-normal" scope="col">Region</th>
        <th v-for="window in windows" :key="window" class="w-[84px] py-1 pl-2 font-normal" scope="col">
          {{ window }}, px
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(room, index) in rooms" :key="room.name + index" class="border-b border-rule align-top">
        <th scope="row" class="py-2 text-left font-normal">
          <label class="flex items-baseline gap-2"
            ><input v-model="room.kept" type="checkbox" /> <b>{{ room.name }}</b></label
          >
          <span class="block pl-6 text-[13px] text-soft">
            <template v-if="!room.measured">assumed, as on most sites</template>
            <template v-else-if="room.on">only on {{ room.on.join(', ') }}</template>
            <template v-else>on every page that was looked at</template>
            <template v-if="room.mark"
              >; found by <code class="font-mono text-[12.5px] break-all">{{ room.mark }}</code></template
            >
          </span>
          <span v-if="about(`rooms.${index}.width`)" class="block pl-6 text-[13px] text-coral">{{
            `Its width ${about(`rooms.${index}.width`)}.`
          }}</span>
        </th>
        <td v-for="window in windows" :key="window" class="py-2 pl-2">
          <input
            v-model.number="room[window]"
            type="number"
            min="40"
            max="4000"
            class="field w-full tabular-nums"
            :aria-label="`${room.name} at ${window} width, px`"
            :placeholder="window === 'desktop' ? '' : 'not shown'"
            :disabled="!room.kept"
          />
        </td>
      </tr>
    </tbody>
  </table>
</template>

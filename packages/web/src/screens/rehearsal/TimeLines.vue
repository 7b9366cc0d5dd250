<script setup lang="ts">
import type { MadeUpVisit, Rehearsal } from '@pebblestrand/core/presence'
import { happeningWords } from '@pebblestrand/core/presence/words'
import { scaleLinear } from 'd3-scale'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import type { OverPage } from '../../queries/rehearsals'
import { laneOf, stretchesOf } from './lanes'

/** What shows when: pages along a line, a lane for each widget. The same is said in words below. */
const props = defineProps<{ visit: MadeUpVisit; played: Rehearsal; overPage: readonly OverPage[] }>()

const LANE = 34
const TOP = 40
const NAME = 150
const room = ref<HTMLElement | null>(null)
const width = ref(700)
let measured: ResizeObserver | null = null
onMounted(() => {
  measured = new ResizeObserver(([entry]) => (width.value = Math.max(320, entry!.contentRect.width)))
  measured.observe(room.value!)
})
onBeforeUnmount(() => measured?.disconnect())

const stretches = computed(() => stretchesOf(props.visit))
const x = computed(() =>
  scaleLinear()
    .domain([0, stretches.value.at(-1)?.until ?? 1])
    .range([NAME, width.value - 8]),
)
const lanes = computed(() =>
  props.overPage.map((one, i) => ({
    ...one,
    y: TOP + i * LANE,
    ...laneOf(one.installId, props.played.happenings, stretches.value),
  })),
)
const height = computed(() => TOP + lanes.value.length * LANE + 4)
const nameOf = (id: string) => props.overPage.find(({ installId }) => installId === id)?.widget ?? ''
const cut = (text: string, px: number) =>
  text.length * 6.4 > px ? `${text.slice(0, Math.max(1, px / 6.4 - 1))}…` : text
const told = computed(() =>
  props.played.happenings.map((one) => ({
    when: `${props.visit.visits.length > 1 ? `day ${props.visit.visits[one.visit]!.afterDays}, ` : ''}${props.visit.visits[one.visit]!.pages[one.page]!.path}, ${one.at} s`,
    says: `${nameOf(one.id)} ${happeningWords(one)}`,
    isHeld: one.what === 'held',
  })),
)
</script>

<template>
  <div ref="room" class="min-w-0">
    <svg :width="width" :height="height" role="img" aria-label="Time line; the same is listed below" class="block">
      <g v-for="stretch in stretches" :key="`${stretch.visit} ${stretch.page}`">
        <rect
          :x="x(stretch.from)"
          y="18"
          :width="Math.max(1, x(stretch.until) - x(stretch.from) - 1)"
          :height="height - 20"
          class="fill-sheet stroke-rule"
          stroke-width="1"
        />
        <text :x="x(stretch.from) + 3" y="32" class="fill-soft font-mono text-[11px]">
          {{ cut(stretch.path, x(stretch.until) - x(stretch.from) - 6) }}
        </text>
        <text v-if="stretch.day !== null" :x="x(stretch.from)" y="12" class="fill-soft text-[11.5px]">
          {{ stretch.day ? `day ${stretch.day}` : 'first visit' }}
        </text>
      </g>
      <g v-for="lane in lanes" :key="lane.installId" :transform="`translate(0 ${lane.y})`">
        <text x="0" y="20" class="fill-ink text-[13.5px]">{{ cut(lane.widget, NAME - 10) }}</text>
        <line :x1="NAME" :x2="width - 8" y1="16" y2="16" class="stroke-rule" stroke-width="1" />
        <rect
          v-for="(open, i) in lane.open"
          :key="`o${i}`"
          :x="x(open.from)"
          y="8"
          :width="Math.max(3, x(open.until) - x(open.from))"
          height="16"
          rx="8"
          class="fill-kelp"
        >
          <title>{{ lane.widget }}: open for {{ Math.round(open.until - open.from) }} s</title>
        </rect>
        <template v-for="(held, i) in lane.held" :key="`h${i}`">
          <path
            v-if="held.collides"
            :d="`M ${x(held.at)} 10 l 6 6 l -6 6 l -6 -6 z`"
            class="fill-paper stroke-coral"
            stroke-width="1.8"
          >
            <title>{{ lane.widget }} {{ held.says }}</title>
          </path>
          <circle v-else :cx="x(held.at) + 4" cy="16" r="3.5" class="fill-paper stroke-soft" stroke-width="1.4">
            <title>{{ lane.widget }} {{ held.says }}</title>
          </circle>
        </template>
      </g>
    </svg>
    <p class="mt-1 flex flex-wrap gap-x-5 text-[13px] text-soft" aria-hidden="true">
      <span><span class="mr-1 inline-block h-[9px] w-[22px] rounded-full bg-kelp align-middle" />open</span>
      <span><span class="mr-2 inline-block size-[9px] rotate-45 border-2 border-coral align-middle" />met another</span>
      <span><span class="mr-1 inline-block size-[9px] rounded-full border-2 border-soft align-middle" />kept away</span>
    </p>
    <details class="mt-3" :open="told.length <= 8">
      <summary class="cursor-pointer text-[14px] text-soft">In words</summary>
      <ol v-if="told.length" class="ledger mt-1 border-t border-rule text-[14px]">
        <li v-for="(line, i) in told" :key="i" class="grid gap-x-4 py-1 sm:grid-cols-[190px_minmax(0,1fr)]">
          <span class="font-mono text-[12.5px] break-all text-soft">{{ line.when }}</span>
          <span :class="line.isHeld && 'text-soft'">{{ line.says }}.</span>
        </li>
      </ol>
      <p v-else class="mt-1 text-[14px]">Nothing appears, and nothing would have.</p>
    </details>
  </div>
</template>

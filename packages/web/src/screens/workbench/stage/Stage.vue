<script setup lang="ts">
import type { Payload } from '@pebblestrand/core/artefacts'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import ExampleMark from '../../../parts/ExampleMark.vue'
import Ruler from './Ruler.vue'
import { useStageFrame } from './stage-frame'
import { desktop, plannedWidth, type Setting } from './widths'

/**
 * The real widget: the script client sites load, in a frame of its own as wide as the chosen place; in a placement the page
 * stands around it, dimmed, as it was last looked at.
 */
const props = defineProps<{
  widgetId: string
  payload: Payload | null
  setting: Setting
  around: boolean
  /** Drawn as large as it is, however wide: then it is moved sideways. */
  fullSize: boolean
  /** CSS of the room that the snippet keeps for it. */
  reserved: string
  example: boolean
}>()
const emit = defineEmits<{ fullSize: [full: boolean] }>()

/** A page that is not there within this time is not shown around the placement. */
const PATIENCE_MS = 4000
/** Px of the page that are in sight at once. */
const PAGE_HEIGHT = 640
const LEAST_HEIGHT = 60
/** Px of a window that something stands over, by its width. */
const WINDOW_HEIGHT = (width: number) => (width < 600 ? 760 : 680)

const room = ref<HTMLElement | null>(null)
const frame = ref<HTMLIFrameElement | null>(null)
const available = ref(780)
const away = ref(false)
const page = computed(() => (props.around && !away.value ? props.setting.page : null))
const src = computed(() =>
  page.value ? `/stage/page?${new URLSearchParams({ ...page.value, widgetId: props.widgetId })}` : '/stage',
)
const { ready, height, width, show, replay } = useStageFrame(frame, () => ({
  payload: props.payload,
  look: props.setting.look,
  padding: props.setting.padding,
  reserved: props.reserved,
}))

const shownWidth = computed(() => (page.value ? props.setting.screen.width : props.setting.width))
// Where the widget stands in a page is found in a wide window, and stays when the window is a phone's.
const frameWidth = computed(() => (page.value && !ready.value ? desktop.width : shownWidth.value))
const over = computed(() => props.payload?.data.over as { goesIn: number } | undefined)
const shownHeight = computed(() =>
  page.value ? PAGE_HEIGHT : over.value ? WINDOW_HEIGHT(props.setting.width) : Math.max(LEAST_HEIGHT, height.value),
)
const fitting = computed(() => Math.min(1, available.value / shownWidth.value))
const scale = computed(() => (props.fullSize ? 1 : fitting.value))
const planned = computed(() => plannedWidth(props.setting))
const notes = computed(() =>
  [
    page.value && width.value && planned.value !== null && Math.abs(width.value - planned.value) > 4
      ? `On the page it gets ${width.value} px; the plan says ${planned.value} px.`
      : '',
    away.value ? 'The page could not be shown around it; check an install there, and it can.' : '',
  ].filter(Boolean),
)

let late: ReturnType<typeof setTimeout> | undefined
watch([() => props.setting.page?.placementId, () => props.around], () => (away.value = false))
watch(
  src,
  () => {
    ready.value = false
    width.value = 0
    clearTimeout(late)
    if (page.value) late = setTimeout(() => (away.value = !ready.value), PATIENCE_MS)
  },
  { immediate: true },
)
watch(() => [props.payload, props.setting, props.reserved], show)

let measured: ResizeObserver | null = null
onMounted(() => {
  measured = new ResizeObserver(([entry]) => (available.value = entry!.contentRect.width))
  measured.observe(room.value!)
})
onBeforeUnmount(() => {
  clearTimeout(late)
  measured?.disconnect()
})
</script>

<template>
  <div ref="room" class="min-w-0">
    <div
      v-bind="
        fullSize ? { tabindex: 0, role: 'region', 'aria-label': 'Widget at full size', class: 'overflow-x-auto' } : {}
      "
    >
      <Ruler :width="shownWidth" :scale="scale" />
      <div
        class="relative overflow-clip bg-white"
        :style="{
          width: `${shownWidth * scale}px`,
          height: `${shownHeight * scale}px`,
          background: setting.look?.background,
        }"
      >
        <iframe
          ref="frame"
          :key="src"
          :src="src"
          title="The widget as it will stand there"
          sandbox="allow-scripts allow-popups"
          class="block border-0"
          :style="{
            width: `${frameWidth}px`,
            height: `${shownHeight}px`,
            transform: `scale(${scale})`,
            transformOrigin: '0 0',
          }"
        />
        <ExampleMark v-if="example" class="top-0 right-0" />
      </div>
    </div>
    <p v-if="fitting < 1" class="mt-1 text-[13px] text-soft">
      {{ fullSize ? 'Full size.' : `Drawn at ${Math.round(scale * 100)} % of its size.` }}
      <button type="button" class="word text-[13px]" @click="emit('fullSize', !fullSize)">
        {{ fullSize ? 'Fit it to this window' : 'Show it at 100 %' }}
      </button>
    </p>
    <button v-if="over" type="button" class="word mt-2 text-[14px]" @click="replay(over.goesIn)">
      See it go and come again
    </button>
    <p v-if="notes.length" class="mt-1 text-[13px] text-soft">{{ notes.join(' ') }}</p>
  </div>
</template>

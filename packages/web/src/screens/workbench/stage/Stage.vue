<script setup lang="ts">
import type { PayloadBase } from '@pebblestrand/core/kinds'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { plain } from '../../../stores/plain'
import Ruler from './Ruler.vue'
import type { Setting } from './widths'

/** The real widget: the script client sites load, in a frame of its own as wide as the chosen place. */
const props = defineProps<{ payload: PayloadBase | null; setting: Setting }>()

const room = ref<HTMLElement | null>(null)
const frame = ref<HTMLIFrameElement | null>(null)
const height = ref(200)
const ready = ref(false)
const available = ref(780)
const scale = computed(() => Math.min(1, available.value / props.setting.width))

function show(): void {
  if (!ready.value || !props.payload) return
  const message = plain({
    pebblestrand: 'show',
    payload: props.payload,
    look: props.setting.look,
    padding: props.setting.padding,
  })
  frame.value?.contentWindow?.postMessage(message, '*')
}

function hear({ source, data }: MessageEvent): void {
  if (source !== frame.value?.contentWindow) return
  const told = data as { pebblestrand?: string; height?: number }
  if (told.pebblestrand === 'ready') {
    ready.value = true
    show()
  }
  if (told.pebblestrand === 'height' && told.height) height.value = Math.min(8000, told.height)
}

let measured: ResizeObserver | null = null
onMounted(() => {
  addEventListener('message', hear)
  measured = new ResizeObserver(([entry]) => (available.value = entry!.contentRect.width))
  measured.observe(room.value!)
})
onBeforeUnmount(() => {
  removeEventListener('message', hear)
  measured?.disconnect()
})
watch(() => [props.payload, props.setting], show, { deep: false })
</script>

<template>
  <div ref="room" class="min-w-0">
    <Ruler :width="setting.width" :scale="scale" />
    <div
      class="overflow-hidden bg-white"
      :style="{
        width: `${setting.width * scale}px`,
        height: `${Math.max(60, height) * scale}px`,
        background: setting.look?.background,
      }"
    >
      <iframe
        ref="frame"
        src="/stage"
        title="The widget as it will stand there"
        sandbox="allow-scripts allow-popups"
        class="block border-0"
        :style="{
          width: `${setting.width}px`,
          height: `${Math.max(60, height)}px`,
          transform: `scale(${scale})`,
          transformOrigin: '0 0',
        }"
      />
    </div>
    <p v-if="scale < 1" class="mt-1 text-[13px] text-soft">Drawn at {{ Math.round(scale * 100) }} % of its size.</p>
  </div>
</template>

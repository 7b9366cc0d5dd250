<script setup lang="ts">
import { show } from '@pebblestrand/widget'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import type { Thumbnail } from '../api/types'

/**
 * The real widget, drawn small: what was rendered of it in a shadow root of its own, too small to be used. `fluid`: scaled to
 * the room there is instead, as wide as `width` would be.
 */
const props = withDefaults(
  defineProps<{ thumbnail: Thumbnail | null; width?: number; scale?: number; fluid?: boolean }>(),
  { width: 480, scale: 0.5 },
)

const host = ref<HTMLElement | null>(null)
const room = ref<HTMLElement | null>(null)
const available = ref(0)
const drawn = computed(() => (props.fluid && available.value ? available.value / props.width : props.scale))
const size = computed(() => ({
  width: `${props.width}px`,
  maxWidth: 'none', // drawn as wide as it would stand, and then made smaller
  transform: `scale(${drawn.value})`,
  transformOrigin: '0 0',
}))

function draw(): void {
  if (host.value && props.thumbnail) show(host.value, props.thumbnail, location.origin)
}
let measured: ResizeObserver | null = null
onMounted(() => {
  draw()
  if (!props.fluid) return
  measured = new ResizeObserver(([entry]) => (available.value = entry!.contentRect.width))
  measured.observe(room.value!)
})
onBeforeUnmount(() => measured?.disconnect())
watch(() => props.thumbnail, draw)
</script>

<template>
  <div ref="room" class="relative min-w-0 overflow-hidden bg-white text-[#1d2b34]" aria-hidden="true" inert>
    <div ref="host" class="absolute font-[Georgia,serif]" :style="size" />
  </div>
</template>

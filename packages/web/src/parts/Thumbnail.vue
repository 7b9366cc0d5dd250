<script setup lang="ts">
import type { PayloadBase } from '@pebblestrand/core/kinds'
import { loadFont, render } from '@pebblestrand/widget'
import { computed, onMounted, ref, watch } from 'vue'

/** The real widget, drawn small: the renderer's own HTML and CSS in a shadow root, too small to be used. */
const props = withDefaults(defineProps<{ payload: PayloadBase; width?: number; scale?: number }>(), {
  width: 480,
  scale: 0.5,
})

const host = ref<HTMLElement | null>(null)
const size = computed(() => ({ width: `${props.width}px`, transform: `scale(${props.scale})`, transformOrigin: '0 0' }))

function draw(): void {
  if (!host.value) return
  const { html, css, font } = render(props.payload)
  if (font) loadFont(font, location.origin)
  const root = host.value.shadowRoot ?? host.value.attachShadow({ mode: 'open' })
  root.innerHTML = `<style>${css}</style>${html}` // escaped by the renderer, as on client sites
}
onMounted(draw)
watch(() => props.payload, draw)
</script>

<template>
  <div class="overflow-hidden bg-white text-[#1d2b34]" aria-hidden="true" inert>
    <div ref="host" class="font-[Georgia,serif]" :style="size" />
  </div>
</template>

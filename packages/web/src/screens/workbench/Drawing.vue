<script setup lang="ts">
import type { Settings } from '@pebblestrand/core/kinds'
import { shallowRef, watch } from 'vue'
import type { Thumbnail as Drawn } from '../../api/types'
import Thumbnail from '../../parts/Thumbnail.vue'
import { useWorkbench } from '../../stores/workbench'

/** The widget on the bench as other settings have it, drawn small, as wide as it would stand. */
const props = withDefaults(defineProps<{ settings: Settings; width?: number }>(), { width: 640 })
const bench = useWorkbench()
const drawn = shallowRef<Drawn | null>(null)
let asked = 0
watch(
  () => [props.settings, bench.standing] as const,
  async ([settings]) => {
    const own = ++asked
    const drawing = await bench.draw(settings)
    if (own === asked) drawn.value = drawing && { html: drawing.html, css: drawing.css, font: drawing.font }
  },
  { immediate: true },
)
</script>

<template>
  <Thumbnail :thumbnail="drawn" :width="width" fluid class="border border-rule" />
</template>

<script setup lang="ts">
import { renderSample, type Kind, type Starter } from '@pebblestrand/core/kinds'
import { computed } from 'vue'
import Thumbnail from '../../parts/Thumbnail.vue'

/** One starter to begin from, as it looks with its kind's sample. */
const props = defineProps<{ kind: Kind; starter: Starter<Record<string, unknown>> }>()
const chosen = defineModel<string>({ required: true })
const value = computed(() => `${props.kind.id} ${props.starter.id}`)

/** Px: what the drawing has in the sheet, and the least a widget is drawn as wide as. */
const ROOM = 200
const USUAL = 300
const settings = computed(() => props.kind.settings.parse({ ...props.starter.settings }))
/** As wide as its columns ask for, so that a starter shows what makes it that starter. */
const width = computed(() => {
  const spec = props.kind.box?.fit(settings.value)
  return spec ? Math.max(USUAL, spec.columns * spec.cellMin + (spec.columns - 1) * spec.gap + 2 * spec.padding) : USUAL
})
const rendered = computed(() => {
  const { html, css, font } = renderSample(props.kind, settings.value, location.origin, props.starter.name)
  return { html, css, font }
})
</script>

<template>
  <label
    class="block cursor-pointer border p-3 has-focus-visible:outline-2 has-focus-visible:outline-tide"
    :class="chosen === value ? 'border-kelp bg-paper' : 'border-rule'"
  >
    <Thumbnail :thumbnail="rendered" :width="width" :scale="ROOM / width" class="h-[150px]" />
    <span class="mt-3 flex items-center gap-2"
      ><input v-model="chosen" type="radio" name="starter" :value="value" /> {{ starter.name }}</span
    >
  </label>
</template>

<script setup lang="ts">
import { contentKeys, type Kind, type Settings } from '@pebblestrand/core/kinds'
import { computed, shallowRef, watch } from 'vue'
import type { SourceDetail, Thumbnail as Drawn } from '../../api/types'
import Thumbnail from '../../parts/Thumbnail.vue'
import type { Draws } from './starter-drawings'

/** One starter to begin from, drawn with its kind's example or with what a source holds, as wide as its place. */
const props = defineProps<{
  kind: Kind
  starter: { id: string; name: string; settings: Settings }
  fits: boolean
  source: SourceDetail | null
  width: number | null
  drawings: Draws
}>()
const chosen = defineModel<string>({ required: true })
const value = computed(() => `${props.kind.id} ${props.starter.id}`)

/** Px, where no place is chosen: as wide as its columns ask for, so that it shows what makes it that starter. */
const USUAL = 300
const settings = computed<Settings>(() => {
  const key = contentKeys(props.kind).find((one) => one === 'sources')
  const sources = key && props.source ? { [key]: [props.source.id] } : {}
  return props.kind.settings.parse({ ...props.starter.settings, ...sources }) as Settings
})
const drawnWidth = computed(() => {
  if (props.width) return props.width
  const spec = props.kind.box?.fit(settings.value)
  return spec ? Math.max(USUAL, spec.columns * spec.cellMin + (spec.columns - 1) * spec.gap + 2 * spec.padding) : USUAL
})
const drawn = shallowRef<Drawn | null>(null)
let asked = 0
watch(
  settings,
  async (wanted) => {
    const own = ++asked
    const drawing = await props.drawings(props.kind.id, wanted, props.source)
    if (own === asked) drawn.value = drawing
  },
  { immediate: true },
)
</script>

<template>
  <label
    class="block cursor-pointer border p-3 has-focus-visible:outline-2 has-focus-visible:outline-tide"
    :class="chosen === value ? 'border-kelp bg-paper' : 'border-rule'"
  >
    <Thumbnail :thumbnail="drawn" :width="drawnWidth" fluid class="h-[140px]" />
    <span class="mt-3 flex items-baseline gap-2"
      ><input v-model="chosen" type="radio" name="starter" :value="value" />
      <span class="min-w-0 flex-1">{{ starter.name }}</span>
      <span v-if="!fits" class="text-[13px] text-ochre">too wide</span></span
    >
  </label>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import type { InstallOnSite, Page, Placement, Thumbnail as Drawn } from '../../api/types'
import { columnsWords, fitOf } from '../../parts/fit'
import Pebble from '../../parts/Pebble.vue'
import Thumbnail from '../../parts/Thumbnail.vue'

/** An install on the page plan: its pebble and name, how it fits, and the widget itself drawn small. */
const props = defineProps<{
  install: InstallOnSite
  page: Page
  /** Null for one that stands over the page. */
  placement: Placement | null
  thumbnails: Record<string, Drawn>
}>()

/** The plan is drawn 640 px wide for a page of 1280. */
const SCALE = 0.5
const MOST_HEIGHT = 150

const under = computed(() => {
  if (props.install.findingTitle) return props.install.findingTitle
  const fit = props.placement && fitOf(props.install.kind, props.install.settings, props.placement.width)
  return [
    props.install.pageId === props.page.id ? '' : 'on several pages',
    fit && (fit.verdict === 'too-narrow' ? 'too narrow for it' : columnsWords(fit)),
  ]
    .filter(Boolean)
    .join(', ')
})
const thumbnail = computed(() => props.thumbnails[props.install.id] ?? props.thumbnails[props.install.widgetId] ?? null)
const height = computed(() => Math.min(MOST_HEIGHT, (props.install.height ?? 0) * SCALE))
</script>

<template>
  <li class="mt-1">
    <div class="flex gap-[9px]">
      <Pebble :status="install.status" :seed="install.id" class="mt-[5px]" />
      <p class="min-w-0 leading-snug">
        <RouterLink :to="`/installs/${install.id}`" class="font-bold text-ink no-underline hover:underline">{{
          install.widget
        }}</RouterLink>
        <span class="block text-[13px] text-soft">{{ under }}</span>
      </p>
    </div>
    <div v-if="placement && thumbnail && height" class="mt-1 mb-2 border border-rule">
      <Thumbnail
        :thumbnail="thumbnail"
        :width="placement.width"
        :scale="SCALE"
        fluid
        :style="{ height: `${height}px` }"
      />
    </div>
  </li>
</template>

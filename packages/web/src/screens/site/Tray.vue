<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Placement, WidgetRow } from '../../api/types'
import { useWidgetList } from '../../queries/widgets'
import TrayWidget from './TrayWidget.vue'

/** The widgets that can be placed on the page, and ways to what is not there yet. */
defineProps<{ placements: Placement[]; siteId: string }>()
const emit = defineEmits<{
  lift: [widget: WidgetRow | null]
  place: [widget: WidgetRow, placement: Placement | null]
  addPlacement: []
}>()
const SHOWN = 40
const words = ref('')
/** What is asked for: as it was when the field was left or Enter pressed. */
const asked = ref('')
const { data: widgets } = useWidgetList(() => ({ q: asked.value, page: 1, size: SHOWN }))
const left = computed(() => Math.max(0, (widgets.value?.total ?? 0) - SHOWN))
</script>

<template>
  <section aria-labelledby="tray">
    <div class="flex flex-wrap items-baseline gap-x-6 gap-y-1">
      <h2 id="tray" class="label font-sans tracking-normal">
        Tray: drag a widget into a placement, or press <kbd>M</kbd> on it and choose
      </h2>
      <button type="button" class="word ml-auto text-[14px]" @click="emit('addPlacement')">Add a placement</button>
    </div>
    <input
      v-if="words || (widgets?.total ?? 0) > 12"
      v-model="words"
      class="field mt-1 max-w-[240px]"
      type="search"
      placeholder="Only those with"
      aria-label="Widgets in the tray: only those with"
      @change="asked = words.trim()"
    />
    <ul class="mt-2 flex flex-wrap gap-[10px]">
      <TrayWidget
        v-for="widget in widgets?.rows ?? []"
        :key="widget.id"
        :widget="widget"
        :placements="placements"
        @lift="emit('lift', widget)"
        @rest="emit('lift', null)"
        @place="emit('place', widget, $event)"
      />
      <li class="border border-rule bg-sheet">
        <RouterLink
          :to="`/widgets?new=1&site=${siteId}`"
          class="block px-3 py-[6px] text-soft no-underline hover:underline"
          >make a new one</RouterLink
        >
      </li>
      <li v-if="left" class="px-1 py-[6px] text-soft">and {{ left }} more: narrow them by a word of their names</li>
    </ul>
  </section>
</template>

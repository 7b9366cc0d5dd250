<script setup lang="ts">
import type { Region } from '@pebblestrand/core/snippet'
import { computed } from 'vue'
import type { Page, Placement, SiteDetail, WidgetRow } from '../../api/types'
import { installsOn, placementsOf } from './pages'
import PlacementBox from './PlacementBox.vue'

/** A drawing of a page's placements, to scale by width. */
const props = defineProps<{ site: SiteDetail; page: Page; offered: WidgetRow | null }>()
const emit = defineEmits<{ drop: [widgetId: string, placement: Placement]; edit: [placement: Placement] }>()

const PAGE_WIDTH = 1280

const placements = computed(() => placementsOf(props.site, props.page))
const installs = computed(() => installsOn(props.site, props.page))
const of = (region: Region) => placements.value.filter((p) => p.region === region)
const share = (px: number) => `${(px / PAGE_WIDTH) * 100}%`
const columnWidth = (region: Region) => share(Math.max(...of(region).map((p) => p.width)))
const inside = (placement: Placement) => installs.value.filter((i) => i.placementId === placement.id)
const columns = (['main', 'sidebar'] as const).map((region) => ({ region }))
</script>

<template>
  <div class="mx-auto max-w-[640px] border border-ink bg-sheet">
    <div v-for="placement in of('header')" :key="placement.id" class="border-b border-dashed border-soft/60">
      <PlacementBox
        :placement="placement"
        :installs="inside(placement)"
        :page="page"
        :offered="offered"
        @drop="emit('drop', $event, placement)"
        @edit="emit('edit', placement)"
      />
    </div>
    <div class="flex justify-center gap-[3%] py-4">
      <template v-for="{ region } in columns" :key="region">
        <div v-if="of(region).length" class="grid content-start gap-3" :style="{ width: columnWidth(region) }">
          <div v-for="placement in of(region)" :key="placement.id" class="border border-dashed border-soft/60">
            <PlacementBox
              tall
              :placement="placement"
              :installs="inside(placement)"
              :page="page"
              :offered="offered"
              @drop="emit('drop', $event, placement)"
              @edit="emit('edit', placement)"
            />
          </div>
        </div>
      </template>
    </div>
    <div v-for="placement in of('footer')" :key="placement.id" class="border-t border-dashed border-soft/60">
      <PlacementBox
        :placement="placement"
        :installs="inside(placement)"
        :page="page"
        :offered="offered"
        @drop="emit('drop', $event, placement)"
        @edit="emit('edit', placement)"
      />
    </div>
  </div>
</template>

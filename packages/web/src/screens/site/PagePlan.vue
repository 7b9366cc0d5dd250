<script setup lang="ts">
import type { Region } from '@pebblestrand/core/platforms/schema'
import { computed } from 'vue'
import { asApiError } from '../../api/error'
import type { Page, Placement, SiteDetail, WidgetRow } from '../../api/types'
import { sayFault } from '../../frame/notices'
import { changePlacement } from '../../queries/sites'
import { installsOn, placementsOf } from './pages'
import PlacedWidget from './PlacedWidget.vue'
import PlacementBox from './PlacementBox.vue'

/** A drawing of a page's placements, to scale by width. */
const props = defineProps<{ site: SiteDetail; page: Page; offered: WidgetRow | null }>()
const emit = defineEmits<{ drop: [widget: WidgetRow, placement: Placement]; edit: [placement: Placement] }>()

const PAGE_WIDTH = 1280

const placements = computed(() => placementsOf(props.site, props.page))
const installs = computed(() => installsOn(props.site, props.page))
const of = (region: Region) => placements.value.filter((p) => p.region === region)
const share = (px: number) => `${(px / PAGE_WIDTH) * 100}%`
const columnWidth = (region: Region) => share(Math.max(...of(region).map((p) => p.width)))
/** What stands over the page, in no placement. */
const overPage = computed(() => installs.value.filter((i) => i.placementId === null))
const inside = (placement: Placement) => installs.value.filter((i) => i.placementId === placement.id)
const columns: Region[] = ['main', 'sidebar']
const widen = (placement: Placement, width: number) =>
  changePlacement(placement.id, { width }).catch((e: unknown) => sayFault(asApiError(e)))
const boxOf = (placement: Placement) => ({
  placement,
  installs: inside(placement),
  page: props.page,
  offered: props.offered,
  thumbnails: props.site.thumbnails,
})
</script>

<template>
  <div class="mx-auto max-w-[640px] border border-ink bg-sheet">
    <div v-for="placement in of('header')" :key="placement.id" class="border-b border-dashed border-soft/60">
      <PlacementBox
        v-bind="boxOf(placement)"
        @drop="emit('drop', $event, placement)"
        @edit="emit('edit', placement)"
        @widen="widen(placement, $event)"
      />
    </div>
    <div class="flex justify-center gap-[3%] py-4">
      <div
        v-for="region in columns.filter((r) => of(r).length)"
        :key="region"
        class="grid content-start gap-3"
        :style="{ width: columnWidth(region) }"
      >
        <div v-for="placement in of(region)" :key="placement.id" class="border border-dashed border-soft/60">
          <PlacementBox
            tall
            v-bind="boxOf(placement)"
            @drop="emit('drop', $event, placement)"
            @edit="emit('edit', placement)"
            @widen="widen(placement, $event)"
          />
        </div>
      </div>
    </div>
    <div v-for="placement in of('footer')" :key="placement.id" class="border-t border-dashed border-soft/60">
      <PlacementBox
        v-bind="boxOf(placement)"
        @drop="emit('drop', $event, placement)"
        @edit="emit('edit', placement)"
        @widen="widen(placement, $event)"
      />
    </div>
    <section v-if="overPage.length" class="border-t border-ink px-[10px] py-2" aria-label="Over the page">
      <div class="flex items-baseline justify-between gap-4">
        <h3 class="font-sans text-[12.5px] font-semibold tracking-normal text-soft">over the page</h3>
        <RouterLink :to="`/sites/${site.id}/rehearsal`" class="word text-[13px]">Rehearse a visit</RouterLink>
      </div>
      <ul>
        <PlacedWidget
          v-for="install in overPage"
          :key="install.id"
          :install="install"
          :page="page"
          :placement="null"
          :thumbnails="site.thumbnails"
        />
      </ul>
    </section>
  </div>
</template>

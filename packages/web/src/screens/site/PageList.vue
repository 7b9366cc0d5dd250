<script setup lang="ts">
import type { InstallStatus } from '@pebblestrand/core/verify/words'
import type { Page, SiteDetail } from '../../api/types'
import Pebble from '../../parts/Pebble.vue'

const props = defineProps<{ site: SiteDetail; chosen: Page | undefined }>()
const emit = defineEmits<{ add: [] }>()

/** The pebble that asks for most attention stands for the page. */
const order: InstallStatus[] = ['needs-a-hand', 'planned', 'handed-over', 'pasted', 'confirmed']
function summary(page: Page) {
  const own = props.site.installs.filter((i) => i.pageId === page.id)
  return { count: own.length, status: order.find((status) => own.some((i) => i.status === status)) ?? null }
}
</script>

<template>
  <nav aria-label="Pages of this site">
    <h2 class="label font-sans">Pages</h2>
    <ul class="ledger mt-1 border-y border-rule">
      <li v-for="page in site.pages" :key="page.id">
        <RouterLink
          :to="{ query: { page: page.id } }"
          class="flex items-center gap-2 py-[6px] text-ink no-underline hover:underline"
          :class="{ 'font-bold': page.id === chosen?.id }"
          :aria-current="page.id === chosen?.id ? 'page' : undefined"
        >
          <span v-if="page.id === chosen?.id" class="text-[11px]" aria-hidden="true">▸</span>
          <span class="truncate">{{ page.title }}</span>
          <span v-if="summary(page).status" class="ml-auto flex items-center gap-2"
            ><Pebble :status="summary(page).status!" :seed="page.id" :size="14" /> {{ summary(page).count }}</span
          >
        </RouterLink>
      </li>
    </ul>
    <button type="button" class="word mt-4 text-[14px]" @click="emit('add')">Add a page</button>
  </nav>
</template>

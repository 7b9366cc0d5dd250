<script setup lang="ts">
import { computed } from 'vue'
import { plural } from '../../parts/address'
import { useWorkbench } from '../../stores/workbench'

/** How the draft stands to the newest release, whether it is saved, and where the widget is used. */
const bench = useWorkbench()
const standing = computed(() => {
  if (!bench.newest) return 'draft, no release yet'
  return bench.changes.length
    ? `draft, ${plural(bench.changes.length, 'change')} since release ${bench.newest.number}`
    : `as release ${bench.newest.number}`
})
const states = {
  saved: 'saved',
  waiting: 'not saved yet',
  saving: 'saving …',
  conflict: 'not saved',
  failed: 'not saved',
}
const saved = computed(() => states[bench.saving.state])
const sites = computed(() => new Set(bench.widget?.places.map((p) => p.siteId)).size)
</script>

<template>
  <p class="flex flex-wrap items-baseline gap-x-2 text-[13.5px]">
    <span class="font-bold" :class="bench.changes.length || !bench.newest ? 'text-heather' : 'text-soft'">{{
      standing
    }}</span>
    <span class="text-soft" role="status">{{ saved }}</span>
    <button
      v-if="bench.lookingAt === null"
      type="button"
      class="word plain text-[13.5px] disabled:opacity-50"
      :disabled="!bench.history.canGoBack"
      title="Ctrl+Z"
      aria-label="take back the last change"
      @click="bench.undo()"
    >
      take back
    </button>
    <button
      v-if="bench.lookingAt === null && bench.history.canGoForward"
      type="button"
      class="word plain text-[13.5px]"
      title="Ctrl+Shift+Z"
      aria-label="once more: the change taken back last"
      @click="bench.redo()"
    >
      once more
    </button>
    <RouterLink
      v-if="sites"
      :to="`/installs?widgetId=${bench.widget!.id}`"
      class="text-soft underline underline-offset-3"
      >used on {{ plural(sites, 'site') }}</RouterLink
    >
  </p>
</template>

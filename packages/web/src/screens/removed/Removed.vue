<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { ApiError } from '../../api/error'
import { asApiError } from '../../api/error'
import type { RemovalRow } from '../../api/types'
import { sayFault } from '../../frame/notices'
import { bringBack } from '../../frame/way-back'
import { plural } from '../../parts/address'
import Fault from '../../parts/Fault.vue'
import Pager from '../../parts/Pager.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import Waiting from '../../parts/Waiting.vue'
import { useRemovals } from '../../stores/removals'

const removals = useRemovals()
const route = useRoute()
const router = useRouter()
const error = ref<ApiError | null>(null)
const busy = ref<string | null>(null)
const page = computed(() => Number(route.query.page ?? 1))

const load = () =>
  removals.load(page.value).then(
    () => (error.value = null),
    (e: unknown) => (error.value = asApiError(e)),
  )
watch(page, load, { immediate: true })

const wentAlong = ({ counts }: RemovalRow) =>
  (['pages', 'placements', 'releases', 'installs'] as const)
    .flatMap((sort) => (counts[sort] ? plural(counts[sort], sort.slice(0, -1)) : []))
    .join(', ')

async function back(row: RemovalRow): Promise<void> {
  busy.value = row.id
  try {
    await bringBack(row.id, router)
  } catch (e) {
    sayFault(asApiError(e))
  } finally {
    busy.value = null
  }
}
</script>

<template>
  <div class="grid gap-x-9 gap-y-6 px-4 py-7 lg:grid-cols-[190px_minmax(0,1fr)] lg:px-8">
    <div>
      <h1 class="text-[31px] font-bold">Removed</h1>
      <p v-if="removals.list" class="mt-2 leading-[1.45] text-soft">
        Kept for {{ removals.list.daysKept }} days, with all that went along. Then it is gone for good.
      </p>
    </div>
    <div class="min-w-0">
      <Fault v-if="error" :error="error" :retry="load" />
      <Waiting v-else-if="!removals.list" doing="Reading what was removed" />
      <p v-else-if="!removals.list.rows.length" class="border-t border-ink pt-4">
        Nothing was removed in the last {{ removals.list.daysKept }} days.
      </p>
      <ul v-else class="ledger border-t border-ink">
        <li
          v-for="row in removals.list.rows"
          :key="row.id"
          class="grid grid-cols-1 items-baseline gap-x-6 py-3 sm:grid-cols-[90px_minmax(0,1fr)_190px_110px]"
          data-thing
        >
          <span class="text-[13px] text-soft">{{ row.what }}</span>
          <span class="min-w-0">
            <b class="break-words">{{ row.name }}</b>
            <span v-if="row.place" class="text-soft">{{ ` ${row.what === 'site' ? 'at' : 'of'} ${row.place}` }}</span>
            <span v-if="wentAlong(row)" class="block text-[13.5px] text-soft">with {{ wentAlong(row) }}</span>
          </span>
          <span class="text-[13.5px] text-soft"
            ><TimeAgo :at="row.removedAt" /><template v-if="row.by"> by {{ row.by }}</template></span
          >
          <span class="sm:text-right"
            ><button
              type="button"
              class="word"
              :disabled="busy !== null"
              :aria-label="`Bring back ${row.what} ${row.name}`"
              @click="back(row)"
            >
              Bring back
            </button></span
          >
        </li>
      </ul>
      <Pager
        v-if="removals.list"
        :page="removals.list.page"
        :size="removals.list.size"
        :total="removals.list.total"
        @go="router.replace({ query: { page: String($event) } })"
      />
    </div>
  </div>
</template>

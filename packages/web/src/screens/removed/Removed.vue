<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { asApiError } from '../../api/error'
import type { RemovalRow } from '../../api/types'
import { sayFault } from '../../frame/notices'
import { bringBack } from '../../frame/way-back'
import { plural, shortAddress } from '../../parts/address'
import ListPage from '../../parts/ListPage.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import { useListAddress } from '../../parts/list-address'
import { useRemovalList } from '../../queries/removals'

const asked = useListAddress()
const { data: list, error, refetch } = useRemovalList(() => asked.value.page)
const router = useRouter()
const busy = ref<string | null>(null)

const where = { site: 'at', page: 'of', placement: 'of', widget: '', install: 'on' }
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
  <ListPage
    title="Removed"
    :list="list"
    :error="error"
    :retry="refetch"
    waiting="Reading what was removed"
    empty="Nothing was removed lately."
  >
    <template #aside>
      <p v-if="list" class="mt-2 leading-[1.45] text-soft">
        Kept for {{ list.daysKept }} days, with all that went along. Then it is gone for good.
      </p>
    </template>
    <template #default="{ rows }">
      <ul class="ledger border-t border-ink">
        <li
          v-for="row in rows"
          :key="row.id"
          class="grid grid-cols-1 items-baseline gap-x-6 py-3 sm:grid-cols-[90px_minmax(0,1fr)_190px_150px]"
          data-thing
        >
          <span class="text-[13px] text-soft">{{ row.what }}</span>
          <span class="min-w-0">
            <b class="break-words">{{ row.name }}</b>
            <span v-if="row.place" class="text-soft">{{ ` ${where[row.what]} ${shortAddress(row.place)}` }}</span>
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
              {{ busy === row.id ? 'Bringing it back …' : 'Bring back' }}
            </button></span
          >
        </li>
      </ul>
    </template>
  </ListPage>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { SiteRow } from '../../api/types'
import { plural, shortAddress } from '../../parts/address'
import ListAside from '../../parts/ListAside.vue'
import ListPage from '../../parts/ListPage.vue'
import Shoreline from '../../parts/Shoreline.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import { useListAddress } from '../../parts/list-address'
import { useSiteList } from '../../queries/sites'
import AddSite from './AddSite.vue'

const asked = useListAddress()
const { data: list, error, refetch } = useSiteList(() => asked.value)
const route = useRoute()
const router = useRouter()
const slots = computed(() => Math.max(10, ...(list.value?.rows.map((s) => s.pebbles.length) ?? [])))

const adding = (open: boolean) => router.replace({ query: { ...route.query, new: open ? '1' : undefined } })
const faults = (site: SiteRow) => site.pebbles.filter((p) => p.status === 'needs-a-hand').length
const living = (site: SiteRow) => site.pebbles.filter((p) => p.status !== 'retired').length
</script>

<template>
  <ListPage
    title="Sites"
    :list="list"
    :error="error"
    :retry="refetch"
    waiting="Reading the list of sites"
    empty="A site is one web address of a client. Add the first, and its pages and placements can hold widgets."
    empty-for="No site, client or address has these words."
  >
    <template #aside>
      <ListAside :total="list?.total" one="site" adds="Add a site" @add="adding(true)" />
    </template>
    <template #default="{ rows }">
      <ul class="ledger border-t border-ink">
        <li
          v-for="site in rows"
          :key="site.id"
          class="grid grid-cols-1 items-center gap-x-6 py-3 sm:grid-cols-[210px_minmax(0,1fr)_250px]"
          data-thing
        >
          <div class="min-w-0">
            <RouterLink
              :to="`/sites/${site.id}`"
              class="font-display text-[17px] font-semibold text-ink no-underline hover:underline"
              >{{ site.name }}</RouterLink
            >
            <p class="truncate text-[13px] text-soft">{{ shortAddress(site.origin) }}</p>
          </div>
          <Shoreline :site="site" :slots="slots" />
          <p class="text-[13px] leading-[1.45] text-soft">
            {{ site.platform }}<br />{{ plural(living(site), 'install') }} on {{ plural(site.pages, 'page')
            }}<template v-if="faults(site)"
              >, <b class="text-coral">{{ faults(site) }} at fault</b></template
            ><br />
            <template v-if="site.checkedAt">checked <TimeAgo :at="site.checkedAt" /></template
            ><template v-else>not checked yet</template>
          </p>
        </li>
      </ul>
    </template>
  </ListPage>
  <AddSite v-if="route.query.new === '1'" @close="adding(false)" />
</template>

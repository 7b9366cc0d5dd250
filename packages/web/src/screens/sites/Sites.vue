<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { ApiError } from '../../api/error'
import { asApiError } from '../../api/error'
import { plural, shortAddress } from '../../parts/address'
import Fault from '../../parts/Fault.vue'
import Pager from '../../parts/Pager.vue'
import Shoreline from '../../parts/Shoreline.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import Waiting from '../../parts/Waiting.vue'
import type { SiteRow } from '../../api/types'
import { useSites } from '../../stores/sites'
import AddSite from './AddSite.vue'

const sites = useSites()
const route = useRoute()
const router = useRouter()
const error = ref<ApiError | null>(null)
const q = computed(() => String(route.query.q ?? ''))
const page = computed(() => Number(route.query.page ?? 1))
const adding = computed(() => route.query.new === '1')
const slots = computed(() => Math.max(10, ...(sites.list?.rows.map((s) => s.pebbles.length) ?? [])))

const load = () =>
  sites.loadList(q.value, page.value).then(
    () => (error.value = null),
    (e: unknown) => (error.value = asApiError(e)),
  )
const show = (change: Record<string, string | undefined>) => router.replace({ query: { ...route.query, ...change } })
const faults = (site: SiteRow) => site.pebbles.filter((p) => p.status === 'needs-a-hand').length
const living = (site: SiteRow) => site.pebbles.filter((p) => p.status !== 'retired').length

watch([q, page], load, { immediate: true })
</script>

<template>
  <div class="grid gap-x-9 gap-y-6 px-4 py-7 lg:grid-cols-[190px_minmax(0,1fr)] lg:px-8">
    <div>
      <h1 class="text-[31px] font-bold">Sites</h1>
      <p v-if="sites.list" class="mt-2 text-soft">
        {{ plural(sites.list.total, 'site') }}{{ q ? ` with “${q}”` : '' }}.
      </p>
      <label class="label mt-5 block" for="site-words">Only those with</label>
      <input
        id="site-words"
        class="field"
        type="search"
        :value="q"
        @change="show({ q: ($event.target as HTMLInputElement).value || undefined, page: undefined })"
      />
      <button type="button" class="act mt-6" @click="show({ new: '1' })">Add a site</button>
      <p class="mt-5"><RouterLink to="/removed" class="word plain">Removed lately</RouterLink></p>
    </div>
    <div class="min-w-0">
      <Fault v-if="error" :error="error" :retry="load" />
      <Waiting v-else-if="!sites.list" doing="Reading the list of sites" />
      <p v-else-if="!sites.list.rows.length" class="border-t border-ink pt-4">
        {{
          q
            ? 'No site, client or address has these words.'
            : 'A site is one web address of a client. Add the first, and its pages and placements can hold widgets.'
        }}
      </p>
      <ul v-else class="ledger border-t border-ink">
        <li
          v-for="site in sites.list.rows"
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
      <Pager
        v-if="sites.list"
        :page="sites.list.page"
        :size="sites.list.size"
        :total="sites.list.total"
        @go="show({ page: String($event) })"
      />
    </div>
    <AddSite v-if="adding" @close="show({ new: undefined })" />
  </div>
</template>

<script setup lang="ts">
import { FlexRender, getCoreRowModel, useVueTable } from '@tanstack/vue-table'
import { computed, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { plural } from '../../parts/address'
import Fault from '../../parts/Fault.vue'
import Pager from '../../parts/Pager.vue'
import Waiting from '../../parts/Waiting.vue'
import { useRegister } from '../../queries/installs'
import { useWalk } from '../../stores/walk'
import { columns } from './columns'
import Filters from './Filters.vue'

const walk = useWalk()
const route = useRoute()
const router = useRouter()
const own = route.path
/** As the address has them; on the way out it is another screen's already. */
const filters = shallowRef({ ...route.query } as Record<string, string>)
watch(
  () => route.query,
  (now) => route.path === own && (filters.value = { ...now } as Record<string, string>),
)
const { data: list, error, refetch } = useRegister(() => filters.value)
const sort = computed(() => filters.value.sort ?? 'site')

const show = (change: Record<string, string | undefined>) => router.replace({ query: { ...route.query, ...change } })
const sortBy = (id: string) =>
  show({ sort: id, dir: sort.value === id && filters.value.dir !== 'down' ? 'down' : 'up', page: undefined })
// The list one came from is what [ and ] walk along.
watch(
  filters,
  (now) => void walk.along(Object.fromEntries(Object.entries(now).filter(([key]) => key !== 'page'))).catch(() => {}),
  { immediate: true },
)

const table = useVueTable({
  get data() {
    return list.value?.rows ?? []
  },
  columns,
  getCoreRowModel: getCoreRowModel(),
  manualSorting: true,
  getRowId: (row) => row.id,
})
const direction = (id: string) =>
  sort.value !== id ? 'none' : filters.value.dir === 'down' ? 'descending' : 'ascending'
</script>

<template>
  <div class="grid grid-cols-[minmax(0,1fr)] gap-x-9 gap-y-6 px-4 py-7 lg:grid-cols-[190px_minmax(0,1fr)] lg:px-8">
    <div>
      <h1 class="text-[31px] font-bold">Installs</h1>
      <p v-if="list" class="mt-2 mb-5 text-soft" role="status">{{ plural(list.total, 'install') }}.</p>
      <Filters :filters="filters" @show="show" />
    </div>
    <div class="min-w-0">
      <Fault v-if="error" :error="error" :retry="refetch" />
      <Waiting v-else-if="!list" doing="Reading the register" />
      <p v-else-if="!list.rows.length" class="border-t border-ink pt-4">
        {{
          Object.keys(filters).length
            ? 'No install is like that. Take a filter away.'
            : 'The register lists every widget on every page. Plan the first install on a site’s page plan.'
        }}
      </p>
      <div
        v-else
        class="relative overflow-x-auto pb-40 xl:overflow-visible xl:pb-0"
        tabindex="0"
        role="region"
        aria-label="Register"
      >
        <table class="w-full min-w-[860px] border-collapse text-[14px]">
          <caption class="sr-only">
            The register of installs
          </caption>
          <thead>
            <tr v-for="group in table.getHeaderGroups()" :key="group.id">
              <th
                v-for="header in group.headers"
                :key="header.id"
                scope="col"
                class="border-b border-ink pr-4 pb-2 text-left text-[12.5px] font-semibold text-soft"
                :aria-sort="
                  header.column.columnDef.enableSorting === false || header.id === 'actions'
                    ? undefined
                    : direction(header.id)
                "
              >
                <FlexRender
                  v-if="header.column.columnDef.enableSorting === false || header.id === 'actions'"
                  :render="header.column.columnDef.header"
                  :props="header.getContext()"
                />
                <button
                  v-else
                  type="button"
                  class="cursor-pointer font-semibold"
                  :class="{ 'text-ink': sort === header.id }"
                  @click="sortBy(header.id)"
                >
                  <FlexRender :render="header.column.columnDef.header" :props="header.getContext()" />
                  <span aria-hidden="true">{{
                    direction(header.id) === 'ascending' ? ' ↑' : direction(header.id) === 'descending' ? ' ↓' : ''
                  }}</span>
                </button>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in table.getRowModel().rows" :key="row.id" class="border-b border-rule align-top" data-thing>
              <td v-for="cell in row.getVisibleCells()" :key="cell.id" class="py-[7px] pr-4">
                <FlexRender :render="cell.column.columnDef.cell" :props="cell.getContext()" />
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <Pager v-if="list" :page="list.page" :size="list.size" :total="list.total" @go="show({ page: String($event) })" />
    </div>
  </div>
</template>

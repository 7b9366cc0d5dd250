<script setup lang="ts">
import { ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { plural, shortAddress } from '../../parts/address'
import InputField from '../../parts/InputField.vue'
import ListAside from '../../parts/ListAside.vue'
import ListPage from '../../parts/ListPage.vue'
import { useListAddress } from '../../parts/list-address'
import SheetForm from '../../parts/SheetForm.vue'
import { beginKept, useSourceList } from '../../queries/sources'
import { sorts } from './health'
import SourceActions from './SourceActions.vue'
import SourceHealth from './SourceHealth.vue'

/** Where content comes from: each source, how it is, and which widgets hang on it. */
const PER_PAGE = 30
const asked = useListAddress()
const { data: list, error, refetch } = useSourceList(() => ({ ...asked.value, size: PER_PAGE }))
const route = useRoute()
const router = useRouter()
const making = (open: boolean) => router.replace({ query: { ...route.query, new: open ? '1' : undefined } })
const title = ref('')
async function begin(): Promise<void> {
  const { id } = await beginKept(title.value)
  await router.push(`/sources/${id}`)
}
</script>

<template>
  <ListPage
    title="Sources"
    :list="list"
    :error="error"
    :retry="refetch"
    waiting="Looking at the sources"
    empty="Whatever widgets take their items from stands here, with how it is. A widget’s first setting, its sources, begins one."
    empty-for="No source has these words."
  >
    <template #aside>
      <ListAside :total="list?.total" one="source" adds="Keep reviews here" @add="making(true)"
        ><p class="mt-5 text-[13.5px] leading-[1.45] text-soft">
          What clients bring on paper or in a file is kept here. Places, feeds and pages are found in a widget’s
          workbench, under what it shows.
        </p></ListAside
      >
    </template>
    <template #default="{ rows }">
      <ul class="ledger border-t border-ink">
        <li
          v-for="source in rows"
          :key="source.id"
          class="grid gap-x-7 gap-y-1 py-3 md:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]"
          data-thing
        >
          <div class="min-w-0">
            <RouterLink
              :to="`/sources/${source.id}`"
              class="font-display text-[17px] leading-tight font-semibold text-ink no-underline hover:underline"
              >{{ source.title }}</RouterLink
            >
            <p class="text-[13.5px] text-soft">
              {{ sorts[source.kind] ?? source.kind }}, {{ plural(source.count, 'item')
              }}<template v-if="source.rating"
                >, {{ source.rating.mean.toFixed(1) }} of 5 from {{ source.rating.count.toLocaleString() }}</template
              >
            </p>
            <p v-if="!source.keptHere" class="truncate text-[13px] text-soft">{{ shortAddress(source.url, 60) }}</p>
            <p class="text-[13.5px]">
              <template v-if="source.widgets.length">
                <span class="text-soft">shown by </span>
                <template v-for="(widget, index) in source.widgets.slice(0, 4)" :key="widget.id"
                  ><template v-if="index">, </template
                  ><RouterLink :to="`/widgets/${widget.id}`" class="text-ink underline underline-offset-3">{{
                    widget.name
                  }}</RouterLink></template
                >
                <span v-if="source.widgets.length > 4" class="text-soft">
                  and {{ source.widgets.length - 4 }} more</span
                >
              </template>
              <span v-else class="text-soft">shown by no widget: it is not read until one does</span>
            </p>
          </div>
          <div class="min-w-0">
            <SourceHealth :source="source" />
            <SourceActions :source="source" class="mt-1" />
          </div>
        </li>
      </ul>
    </template>
  </ListPage>
  <SheetForm
    v-if="route.query.new === '1'"
    title="Keep reviews here"
    does="Begin it"
    :run="begin"
    @close="making(false)"
  >
    <template #default="{ about }">
      <InputField
        v-model="title"
        label="What they are called"
        hint="Such as “Guest book, winter”."
        :fault="about('title')"
      />
    </template>
  </SheetForm>
</template>

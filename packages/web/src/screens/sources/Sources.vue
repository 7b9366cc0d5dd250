<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { plural, shortAddress } from '../../parts/address'
import InputField from '../../parts/InputField.vue'
import ListAside from '../../parts/ListAside.vue'
import ListPage from '../../parts/ListPage.vue'
import { useListAddress } from '../../parts/list-address'
import SheetForm from '../../parts/SheetForm.vue'
import { MOST_FEEDS } from '@pebblestrand/contract'
import { feedListAddress } from '../../queries/feed-lists'
import { beginCollection } from '../../queries/picks'
import { beginKept, useSourceList } from '../../queries/sources'
import { sortOf } from './health'
import BringFeedList from './BringFeedList.vue'
import SourceActions from './SourceActions.vue'
import SourceHealth from './SourceHealth.vue'

/** Where content comes from: each source, how it is, and which widgets hang on it. */
const PER_PAGE = 30
const asked = useListAddress()
const { data: list, error, refetch } = useSourceList(() => ({ ...asked.value, size: PER_PAGE }))
const route = useRoute()
const router = useRouter()
const making = (what?: 'reviews' | 'picks' | 'feeds') => router.replace({ query: { ...route.query, new: what } })
/** What can be begun here: its sheet, and what is asked for. */
const begun = {
  reviews: {
    title: 'Keep reviews here',
    label: 'What they are called',
    hint: 'Such as “Guest book, winter”.',
    begin: beginKept,
  },
  picks: {
    title: 'Begin a collection of picks',
    label: 'What it is called',
    hint: 'Such as “Worth reading”.',
    begin: beginCollection,
  },
}
const beginning = computed(() => {
  const what = String(route.query.new)
  return Object.hasOwn(begun, what) ? begun[what as keyof typeof begun] : null
})
const title = ref('')
async function begin(): Promise<void> {
  const { id } = await beginning.value!.begin(title.value)
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
      <ListAside :total="list?.total" one="source" adds="Keep reviews here" @add="making('reviews')"
        ><p class="mt-5 text-[13.5px] leading-[1.45] text-soft">
          What clients bring on paper or in a file is kept here. Places, feeds and pages are found in a widget’s
          workbench, under what it shows.
        </p>
        <p class="mt-3">
          <button type="button" class="word" @click="making('picks')">Begin a collection of picks</button>
        </p>
        <p class="mt-3">
          <button type="button" class="word" @click="making('feeds')">Bring in a list of feeds</button>
        </p>
        <p v-if="list?.rows.some(({ gives }) => gives.includes('article'))" class="mt-1">
          <a :href="feedListAddress()" class="word plain" download>Save the feeds as a list</a>
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
              <template v-if="source.folder">{{ source.folder.replaceAll('/', ' › ') }}: </template
              >{{ sortOf(source) }}, {{ plural(source.count, 'item')
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
  <BringFeedList v-if="route.query.new === 'feeds'" :most="MOST_FEEDS" @close="making()" />
  <SheetForm v-if="beginning" :title="beginning.title" does="Begin it" :run="begin" @close="making()">
    <template #default="{ about }">
      <InputField v-model="title" :label="beginning.label" :hint="beginning.hint" :fault="about('title')" />
    </template>
  </SheetForm>
</template>

<script setup lang="ts">
import TypedField from '../../parts/TypedField.vue'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { duration } from '@pebblestrand/core/words'
import { asApiError } from '../../api/error'
import { sayFault } from '../../frame/notices'
import { plural, shortAddress } from '../../parts/address'
import Fault from '../../parts/Fault.vue'
import { useListAddress } from '../../parts/list-address'
import Pager from '../../parts/Pager.vue'
import Waiting from '../../parts/Waiting.vue'
import { changeSource, disconnect, useEntries, useSource } from '../../queries/sources'
import { sortOf } from '../sources/health'
import SourceActions from '../sources/SourceActions.vue'
import SourceHealth from '../sources/SourceHealth.vue'
import AddPick from '../collection/AddPick.vue'
import BringBookmarks from '../collection/BringBookmarks.vue'
import EditPick from '../collection/EditPick.vue'
import PickerLink from '../collection/PickerLink.vue'
import PickList from '../collection/PickList.vue'
import { PICKS_A_PAGE } from '../../queries/picks'
import BringInFile from './BringInFile.vue'
import EntryTable from './EntryTable.vue'
import TypeReview from './TypeReview.vue'
import type { Entry } from '../../api/types'

/** One source: how it is, and what it holds. What is kept here can be typed, brought in from a file, and corrected. */
const props = defineProps<{ id: string }>()
const PER_PAGE = 50
const { data: source, error, refetch } = useSource(() => props.id)
const isCollection = computed(() => source.value?.kind === 'picks')
const asked = useListAddress()
const { data: entries } = useEntries(
  () => props.id,
  () => ({ ...asked.value, size: isCollection.value ? PICKS_A_PAGE : PER_PAGE }),
)
const route = useRoute()
const router = useRouter()
const typing = ref<Entry | 'new' | null>(null)
/** Of a new pick; '' where it is typed. */
const address = ref('')
function add(what: string) {
  address.value = what
  typing.value = 'new'
}
const bringing = ref(false)
const usual = [5, 15, 30, 60, 180, 720, 1440, 10_080]
const correct = (entry: Entry) => (typing.value = entry)
const attempt = (work: Promise<unknown>) => void work.catch((e: unknown) => sayFault(asApiError(e)))
const find = (words: string) => router.replace({ query: { ...route.query, q: words || undefined, page: undefined } })
</script>

<template>
  <Fault v-if="error" :error="error" :retry="refetch" class="m-8" />
  <Waiting v-else-if="!source" doing="Reading the source" class="px-8" />
  <div v-else class="grid gap-x-9 gap-y-6 px-4 py-7 lg:grid-cols-[230px_minmax(0,1fr)] lg:px-8">
    <div class="min-w-0">
      <p class="text-[13.5px]"><RouterLink to="/sources" class="word plain">All sources</RouterLink></p>
      <h1 class="mt-1 text-[27px] font-bold break-words">{{ source.title }}</h1>
      <p class="mt-1 text-[13.5px] text-soft">{{ sortOf(source) }}, {{ plural(source.count, 'item') }}</p>
      <p v-if="source.rating" class="text-[13.5px] text-soft">
        {{ source.rating.mean.toFixed(1) }} of 5 from {{ source.rating.count.toLocaleString() }} in all
      </p>
      <p v-if="!source.keptHere" class="text-[13px] break-all">
        <a :href="source.link ?? source.url" class="text-soft" target="_blank" rel="noreferrer">{{
          shortAddress(source.link ?? source.url, 56)
        }}</a>
      </p>
      <SourceHealth :source="source" class="mt-3" />
      <SourceActions :source="source" class="mt-2 flex-col items-start">
        <button v-if="source.account" type="button" class="word plain" @click="attempt(disconnect(source.id))">
          Read it without an account
        </button>
      </SourceActions>
      <label v-if="!source.keptHere" class="mt-3 block text-[14px] text-soft"
        >Read every
        <select
          class="min-h-6 cursor-pointer bg-transparent font-bold text-ink"
          :value="source.intervalMinutes"
          @change="
            attempt(changeSource(source.id, { intervalMinutes: Number(($event.target as HTMLSelectElement).value) }))
          "
        >
          <option v-for="minutes in usual" :key="minutes" :value="minutes">{{ duration(minutes) }}</option>
        </select></label
      >
      <label v-if="!source.keptHere" class="mt-3 block text-[14px] text-soft"
        >Folder
        <TypedField
          class="field"
          :value="source.folder"
          placeholder="News/Islands"
          @change="attempt(changeSource(source.id, { folder: $event }))"
        />
      </label>
      <template v-if="isCollection">
        <PickerLink class="mt-5" />
        <p class="mt-5"><button type="button" class="word" @click="bringing = true">Bring in bookmarks</button></p>
        <p class="mt-1">
          <a :href="`/api/sources/${source.id}/bookmarks.html`" class="word plain" download>Save as bookmarks</a>
        </p>
      </template>
      <template v-else-if="source.keptHere">
        <p class="mt-4"><button type="button" class="act" @click="typing = 'new'">Type a review</button></p>
        <p class="mt-3"><button type="button" class="word" @click="bringing = true">Bring in a file</button></p>
      </template>
      <p v-if="source.gives.includes('review')" class="mt-3">
        <a :href="`/api/sources/${source.id}/reviews.csv`" class="word plain" download>Save all as CSV</a>
      </p>
      <section v-if="source.widgets.length" class="mt-6" aria-labelledby="shown-by">
        <h2 id="shown-by" class="label font-sans tracking-normal">Shown by</h2>
        <ul>
          <li v-for="widget in source.widgets" :key="widget.id">
            <RouterLink :to="`/widgets/${widget.id}`" class="word">{{ widget.name }}</RouterLink>
          </li>
        </ul>
      </section>
    </div>
    <div class="min-w-0">
      <AddPick v-if="isCollection" class="mb-5" @add="add" />
      <div class="flex items-end gap-4">
        <label class="label shrink-0" for="entry-words">Only those with</label>
        <input
          id="entry-words"
          class="field max-w-[260px]"
          type="search"
          :value="route.query.q ?? ''"
          @change="find(($event.target as HTMLInputElement).value)"
        />
      </div>
      <Waiting v-if="!entries" doing="Reading the items" />
      <p v-else-if="!entries.rows.length" class="mt-3 border-t border-ink pt-4">
        <template v-if="route.query.q">Nothing here has these words.</template>
        <template v-else-if="isCollection"
          >Nothing is picked yet. Give the address of a page, type a pick, or bring in a browser’s bookmarks.</template
        >
        <template v-else-if="source.keptHere"
          >There is nothing yet. Type what stands on paper, or bring in a file with one review a row.</template
        >
        <template v-else>It has no items just now.</template>
      </p>
      <PickList
        v-else-if="isCollection"
        :collection-id="source.id"
        :entries="entries.rows"
        :from="(entries.page - 1) * entries.size"
        :total="entries.total"
        :movable="!route.query.q"
        class="mt-3"
        @correct="correct"
      />
      <EntryTable v-else :source="source" :entries="entries.rows" class="mt-3" @correct="typing = $event" />
      <Pager
        v-if="entries"
        :page="entries.page"
        :size="entries.size"
        :total="entries.total"
        @go="router.replace({ query: { ...route.query, page: String($event) } })"
      />
    </div>
    <EditPick
      v-if="typing && isCollection"
      :collection-id="source.id"
      :entry="typing === 'new' ? null : typing"
      :address="typing === 'new' ? address : undefined"
      @close="typing = null"
    />
    <TypeReview
      v-else-if="typing"
      :source-id="source.id"
      :entry="typing === 'new' ? null : typing"
      @close="typing = null"
    />
    <BringBookmarks v-if="bringing && isCollection" :collection-id="source.id" @close="bringing = false" />
    <BringInFile v-else-if="bringing" :source-id="source.id" @close="bringing = false" />
  </div>
</template>

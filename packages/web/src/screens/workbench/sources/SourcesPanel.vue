<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { routes } from '@pebblestrand/contract'
import type { Given } from '@pebblestrand/core/sources/facts'
import { ask, askInSteps } from '../../../api/call'
import type { ApiError } from '../../../api/error'
import { asApiError } from '../../../api/error'
import type { FoundSource, SourceDetail, SourceInfo, Tried } from '../../../api/types'
import { plural } from '../../../parts/address'
import Fault from '../../../parts/Fault.vue'
import Panel from '../../../parts/Panel.vue'
import Waiting from '../../../parts/Waiting.vue'
import { useWorkbench } from '../../../stores/workbench'
import { feedListAddress } from '../../../queries/feed-lists'
import BringFeedList from '../../sources/BringFeedList.vue'
import { byFolder } from '../../sources/folders'
import BeginCollection from './BeginCollection.vue'
import FoundFeeds from './FoundFeeds.vue'
import WhatWasTried from './WhatWasTried.vue'
import UsedSource from './UsedSource.vue'

/** Where the items come from: what is used, an address to look behind, and what other widgets use. */
const emit = defineEmits<{ close: [] }>()
const SHOWN = 50
const bench = useWorkbench()
const address = ref('')
const looking = ref(false)
const busy = ref<string | null>(null)
const error = ref<ApiError | null>(null)
const found = ref<FoundSource[] | null>(null)
const all = ref<SourceDetail[]>([])
const total = ref(0)
const bringing = ref(false)
const words = ref('')

/** What the kind shows: items of some sorts, or a fact of its source. */
const wanted = computed((): Given[] => [...(bench.kind?.content?.bodies ?? []), ...(bench.kind?.content?.facts ?? [])])
/** There is nothing to look for: it is begun here. */
const madeByHand = computed(() => wanted.value.length > 0 && wanted.value.every((type) => type === 'pick'))
const takesFeeds = computed(() => wanted.value.includes('article'))
/** What a person pastes, by what the kind shows. */
const asked: Partial<Record<Given, string>> = {
  hours: 'Address of a page that states them for search engines',
  review: 'An address, a map’s code, an id, or a name to look for',
  video: 'Address of a channel, a playlist or a film, or an embed code',
  post: 'Address of a profile or a post, its handle, a #tag, or a name to look for',
}
const asks = computed(() => asked[wanted.value[0] ?? 'article'] ?? 'Address of a page or a feed')
const used = computed(() =>
  bench.sourceIds.map((id) => bench.sources[id]).filter((s): s is SourceInfo => s !== undefined),
)
const others = computed(() => all.value.filter((s) => !used.value.some((u) => u.id === s.id)))
const tried = ref<Tried[]>([])

const loadKnown = () =>
  ask(routes.sources.list, { query: { q: words.value.trim(), size: SHOWN, gives: wanted.value.join(',') } }).then(
    (known) => {
      all.value = known.rows
      total.value = Math.max(total.value, known.total)
    },
    () => {}, // the address above still does
  )
onMounted(loadKnown)

async function look(): Promise<void> {
  looking.value = true
  error.value = null
  found.value = null
  tried.value = []
  try {
    const tell = (step: Tried) => void tried.value.push(step)
    found.value = (
      await askInSteps(routes.sources.find, { body: { address: address.value, gives: [...wanted.value] } }, tell)
    ).found
  } catch (e) {
    error.value = asApiError(e)
  } finally {
    looking.value = false
  }
}
async function take({ kind, url }: FoundSource): Promise<void> {
  busy.value = url
  error.value = null
  try {
    await bench.useSource(await ask(routes.sources.add, { body: { kind, url } }))
    emit('close')
  } catch (e) {
    error.value = asApiError(e)
  } finally {
    busy.value = null
  }
}
/** Sources the widget has room for. */
const most = computed(() => bench.mostSources - used.value.length)
const canTake = (count: number) => count <= most.value
async function takeAll(sources: readonly Pick<SourceInfo, 'id'>[]): Promise<void> {
  error.value = null
  try {
    for (const { id } of sources.slice(0, most.value))
      await bench.useSource(await ask(routes.sources.read, { params: { id } }))
  } catch (e) {
    error.value = asApiError(e)
  }
  await loadKnown()
}
async function reuse(source: SourceInfo): Promise<void> {
  await bench.useSource(source)
  emit('close')
}
</script>

<template>
  <Panel :open="true" :title="`Where the ${bench.kind?.content?.many} come from`" wide @close="emit('close')">
    <ul v-if="used.length" class="ledger mb-5 border-y border-rule">
      <UsedSource v-for="source in used" :key="source.id" :source="source" @drop="bench.dropSource(source.id)" />
    </ul>
    <BeginCollection v-if="madeByHand" @begun="reuse" />
    <form v-else novalidate @submit.prevent="look">
      <label class="label block" for="source-address">{{ asks }}</label>
      <div class="flex items-end gap-5">
        <input
          id="source-address"
          v-model="address"
          class="field"
          data-first
          inputmode="url"
          placeholder="Whatever you have on the clipboard"
          :aria-invalid="error ? true : undefined"
          aria-describedby="source-fault"
        />
        <button class="act shrink-0" :disabled="looking || !address.trim()">Look there</button>
      </div>
    </form>
    <p v-if="takesFeeds" class="mt-3 flex flex-wrap gap-x-6">
      <button type="button" class="word" @click="bringing = true">Bring in a list of feeds</button>
      <a v-if="used.length" :href="feedListAddress(bench.sourceIds)" class="word plain" download
        >Save these as a list</a
      >
    </p>
    <BringFeedList v-if="bringing" :most="most" @close="bringing = false" @brought="takeAll" />
    <div id="source-fault" class="mt-4">
      <Fault v-if="error" :error="error" />
    </div>
    <Waiting v-if="looking" :doing="tried.length ? 'Reading what is there' : 'Looking there'" />
    <WhatWasTried v-if="tried.length && (looking || error)" :tried="tried" />
    <FoundFeeds v-if="found" :found="found" :used="used.map((s) => s.url)" :busy="busy" @take="take" />
    <section v-else-if="total > used.length && !looking" class="mt-5" aria-labelledby="known-sources">
      <div class="flex items-end gap-5">
        <h3 id="known-sources" class="label font-sans tracking-normal">Known already</h3>
        <input
          v-if="total > 8"
          v-model="words"
          class="field ml-auto max-w-[240px]"
          type="search"
          placeholder="Only those with"
          aria-label="Known sources: only those with"
          @change="loadKnown"
        />
      </div>
      <template v-for="{ folder, feeds } in byFolder(others)" :key="folder">
        <p v-if="folder" class="mt-2 flex items-baseline gap-3">
          <b>{{ folder.replaceAll('/', ' › ') }}</b>
          <button
            v-if="canTake(feeds.length)"
            type="button"
            class="word ml-auto"
            :aria-label="`Take the whole folder: ${folder}`"
            @click="takeAll(feeds)"
          >
            Take the whole folder
          </button>
        </p>
        <ul class="ledger mt-1 border-t border-rule">
          <li v-for="source in feeds" :key="source.id" class="flex flex-wrap items-baseline gap-x-3 py-2">
            {{ source.title }}
            <span class="text-[13px] text-soft"
              >{{ plural(source.count ?? 0, 'item') }}<template v-if="source.problem">, fails just now</template></span
            >
            <button
              type="button"
              class="word ml-auto"
              :aria-label="`Take this: ${source.title}`"
              @click="reuse(source)"
            >
              Take this
            </button>
          </li>
        </ul>
      </template>
      <p v-if="!others.length" class="py-2 text-soft">No known source has these words.</p>
    </section>
  </Panel>
</template>

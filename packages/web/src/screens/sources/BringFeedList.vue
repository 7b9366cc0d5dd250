<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { asApiError, type ApiError } from '../../api/error'
import type { BroughtFeeds, ReadFeedList } from '../../api/types'
import { plural } from '../../parts/address'
import Fault from '../../parts/Fault.vue'
import Panel from '../../parts/Panel.vue'
import Waiting from '../../parts/Waiting.vue'
import { bringFeeds, readFeedList } from '../../queries/feed-lists'
import { textOfFile } from '../source/file-reading'
import { byFolder } from './folders'

/** A list of feeds as another program saved it: its folders, which of them are taken, and what became of each feed. */
const props = defineProps<{ most: number }>()
const emit = defineEmits<{ close: []; brought: [sources: BroughtFeeds['sources']] }>()
const text = ref('')
const read = shallowRef<ReadFeedList | null>(null)
const brought = shallowRef<BroughtFeeds | null>(null)
const chosen = ref<string[]>([])
const progress = ref('')
const error = shallowRef<ApiError | null>(null)
const busy = ref(false)

const folders = computed(() => byFolder(read.value?.feeds ?? []))

async function during(work: () => Promise<void>): Promise<void> {
  busy.value = true
  error.value = null
  try {
    await work()
  } catch (e) {
    error.value = asApiError(e)
  } finally {
    busy.value = false
  }
}
const choose = (event: Event) =>
  during(async () => {
    const file = (event.target as HTMLInputElement).files?.[0]
    if (!file) return
    read.value = brought.value = null
    text.value = await textOfFile(file)
    read.value = await readFeedList(text.value)
    chosen.value = read.value.feeds.slice(0, props.most).map(({ url }) => url)
  })
const bring = () =>
  during(async () => {
    progress.value = ''
    brought.value = await bringFeeds(text.value, chosen.value, ({ done, of }) => {
      progress.value = `${done} of ${of} read`
    })
    emit('brought', brought.value.sources)
    if (!brought.value.failed.length) emit('close')
  })
const hasAll = (urls: readonly string[]) => urls.every((url) => chosen.value.includes(url))
function toggle(urls: readonly string[]): void {
  const others = chosen.value.filter((url) => !urls.includes(url))
  chosen.value = hasAll(urls) ? others : [...others, ...urls]
}
</script>

<template>
  <Panel :open="true" title="Bring in a list of feeds" wide @close="emit('close')">
    <label class="label block" for="feed-list">A list of feeds, as readers save one (OPML)</label>
    <input
      id="feed-list"
      type="file"
      accept=".opml,.xml,text/x-opml,text/xml"
      class="mt-1 block w-full"
      data-first
      :disabled="busy"
      @change="choose"
    />
    <Fault v-if="error" :error="error" class="mt-4" />
    <section v-if="brought" class="mt-4" role="status">
      <p>{{ plural(brought.sources.length, 'feed') }} added. {{ plural(brought.failed.length, 'feed') }} not:</p>
      <ul class="ledger mt-2 border-t border-rule text-[14px]">
        <li v-for="one in brought.failed" :key="one.url" class="py-[5px]">
          <b>{{ one.title }}</b> <span class="text-coral">{{ one.message }}</span>
        </li>
      </ul>
      <p class="mt-4"><button type="button" class="act" @click="emit('close')">Close</button></p>
    </section>
    <template v-else-if="read">
      <p v-if="!read.feeds.length" class="mt-4" role="status">There is no feed in this list.</p>
      <div v-else class="mt-4 max-h-[320px] overflow-auto" tabindex="0" role="group" aria-label="Feeds of the list">
        <fieldset v-for="{ folder, feeds } in folders" :key="folder" class="mb-3 border-0 p-0">
          <legend class="label">
            <label class="flex items-baseline gap-2">
              <input
                type="checkbox"
                :checked="hasAll(feeds.map(({ url }) => url))"
                :disabled="busy"
                @change="toggle(feeds.map(({ url }) => url))"
              />
              {{ folder || 'In no folder' }}
            </label>
          </legend>
          <label v-for="feed in feeds" :key="feed.url" class="flex items-baseline gap-2 py-[2px] pl-6">
            <input v-model="chosen" type="checkbox" :value="feed.url" :disabled="busy" />
            <span class="min-w-0 break-words">{{ feed.title }}</span>
            <span v-if="feed.known" class="text-[13px] text-soft">there already</span>
          </label>
        </fieldset>
      </div>
      <p v-if="read.skipped" class="mt-1 text-[13.5px] text-soft">
        {{ plural(read.skipped, 'entry', 'entries') }} of it {{ read.skipped === 1 ? 'leads' : 'lead' }} to no feed.
      </p>
      <p v-if="chosen.length > most" class="mt-2 text-coral">{{ most }} at most can be taken at once.</p>
      <p v-if="read.feeds.length" class="mt-4">
        <button type="button" class="act" :disabled="busy || !chosen.length || chosen.length > most" @click="bring">
          Add {{ plural(chosen.length, 'feed') }}
        </button>
      </p>
    </template>
    <Waiting v-if="busy" :doing="progress || 'Reading the list'" />
  </Panel>
</template>

<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { asApiError, type ApiError } from '../../api/error'
import type { ReadBookmarks } from '../../api/types'
import { say } from '../../frame/notices'
import { plural, shortAddress } from '../../parts/address'
import Fault from '../../parts/Fault.vue'
import Panel from '../../parts/Panel.vue'
import Waiting from '../../parts/Waiting.vue'
import { readBookmarks } from '../../queries/picks'
import { textOfFile } from '../source/file-reading'

/** A browser's bookmarks as a file: what it would add is shown by its folders, and kept all at once. */
const props = defineProps<{ collectionId: string }>()
const emit = defineEmits<{ close: [] }>()
const text = ref('')
const read = shallowRef<ReadBookmarks | null>(null)
const chosen = ref<string[]>([])
const error = shallowRef<ApiError | null>(null)
const busy = ref(false)

async function look(folders: string[] | null, keep = false): Promise<void> {
  busy.value = true
  error.value = null
  try {
    read.value = await readBookmarks(props.collectionId, text.value, folders, keep)
    if (!keep) return
    say(`${plural(read.value.added, 'pick')} added.`)
    emit('close')
  } catch (e) {
    error.value = asApiError(e)
  } finally {
    busy.value = false
  }
}
async function choose(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  read.value = null
  text.value = await textOfFile(file)
  await look(null)
  chosen.value = (read.value as ReadBookmarks | null)?.folders.map(({ name }) => name) ?? []
}
const some = computed(() => (chosen.value.length === read.value?.folders.length ? null : chosen.value))
</script>

<template>
  <Panel :open="true" title="Bring in bookmarks" wide @close="emit('close')">
    <label class="label block" for="bookmark-file">A bookmark file, as browsers save one (HTML)</label>
    <input
      id="bookmark-file"
      type="file"
      accept=".html,.htm,text/html"
      class="mt-1 block w-full"
      data-first
      @change="choose"
    />
    <Fault v-if="error" :error="error" class="mt-4" />
    <Waiting v-if="busy && !read" doing="Reading the file" />
    <template v-if="read">
      <fieldset v-if="read.folders.length > 1" class="mt-5 border-0 p-0">
        <legend class="label">From these folders; each becomes a label</legend>
        <div class="mt-1 max-h-[220px] gap-x-8 overflow-auto sm:columns-2">
          <label v-for="folder in read.folders" :key="folder.name" class="flex items-baseline gap-2 py-[3px]">
            <input v-model="chosen" type="checkbox" :value="folder.name" :disabled="busy" @change="look(some)" />
            <span class="min-w-0 break-words">{{ folder.name || 'in no folder' }}</span>
            <span class="text-[13px] text-soft">{{ folder.count }}</span>
          </label>
        </div>
      </fieldset>
      <p class="mt-4" role="status">
        {{ plural(read.bookmarks, 'bookmark') }} in the file: {{ read.added }} new<template v-if="read.there"
          >, {{ read.there }} picked already</template
        ><template v-if="read.skipped">, {{ read.skipped }} without a web address</template>.
      </p>
      <ul v-if="read.sample.length" class="ledger mt-2 border-t border-rule text-[14px]">
        <li v-for="one in read.sample" :key="one.link" class="flex flex-wrap gap-x-3 py-[5px]">
          {{ one.title }}
          <span class="text-[13px] text-soft">{{ shortAddress(one.link, 40) }}</span>
          <span class="ml-auto text-[13px] text-soft">{{ one.labels.join(', ') }}</span>
        </li>
      </ul>
      <p class="mt-4">
        <button type="button" class="act" :disabled="busy || !read.added" @click="look(some, true)">
          Keep {{ plural(read.added, 'pick') }}
        </button>
      </p>
    </template>
  </Panel>
</template>

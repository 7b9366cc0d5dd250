<script setup lang="ts">
import { isPattern, matchesPattern, patternProblem } from '@pebblestrand/core/page-patterns'
import { computed, reactive } from 'vue'
import type { Page } from '../../api/types'
import InputField from '../../parts/InputField.vue'
import RemoveIt from '../../parts/RemoveIt.vue'
import SheetForm from '../../parts/SheetForm.vue'
import { addPage, changePage } from '../../queries/sites'

/** Adds a page, or corrects one that has moved. */
const props = defineProps<{ siteId: string; page: Page | null; pages: Page[] }>()
const emit = defineEmits<{ close: []; removed: []; added: [id: string] }>()
const wanted = reactive({
  title: props.page?.title ?? '',
  path: props.page?.path ?? '/',
  previewUrl: props.page?.previewUrl ?? '',
})

/** Of the site's other pages, those that a pattern means; null for a plain path, or one that is not right yet. */
const matched = computed(() =>
  isPattern(wanted.path) && !patternProblem(wanted.path)
    ? props.pages.filter(({ path }) => !isPattern(path) && matchesPattern(wanted.path, path))
    : null,
)

async function keep(): Promise<void> {
  if (props.page) await changePage(props.page.id, { ...wanted })
  else emit('added', (await addPage(props.siteId, { ...wanted })).id)
}
</script>

<template>
  <SheetForm
    :title="page ? 'Correct the page' : 'Add a page'"
    :does="page ? 'Correct it' : 'Add the page'"
    :run="keep"
    @close="emit('close')"
    @done="emit('close')"
  >
    <template #default="{ about }">
      <InputField v-model="wanted.title" label="Title" :fault="about('title')" />
      <InputField
        v-model="wanted.path"
        label="Path"
        class="field font-mono"
        hint="From the first slash on. With blanks it means several: /news/* all below, /news/:entry one step below."
        :fault="about('path')"
      />
      <p v-if="matched" class="-mt-2 mb-4 text-[14px] text-soft" role="status">
        <template v-if="matched.length"
          >Of the pages that are noted it means <b>{{ matched.map(({ title }) => title).join(', ') }}</b>.</template
        ><template v-else>None of the pages that are noted is one of these.</template>
      </p>
      <InputField
        v-model="wanted.previewUrl"
        label="Preview address"
        inputmode="url"
        hint="Where the site shows what is saved and not published yet, without signing in. Left empty where it has none."
        :fault="about('previewUrl')"
      />
    </template>
    <template #beside>
      <RemoveIt v-if="page" :id="page.id" what="page" @removed="emit('removed')">Remove this page</RemoveIt>
    </template>
  </SheetForm>
</template>

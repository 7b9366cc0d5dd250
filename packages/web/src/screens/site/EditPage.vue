<script setup lang="ts">
import { reactive } from 'vue'
import type { Page } from '../../api/types'
import InputField from '../../parts/InputField.vue'
import RemoveIt from '../../parts/RemoveIt.vue'
import SheetForm from '../../parts/SheetForm.vue'
import { addPage, changePage } from '../../queries/sites'

/** Adds a page, or corrects one that has moved. */
const props = defineProps<{ siteId: string; page: Page | null }>()
const emit = defineEmits<{ close: []; removed: []; added: [id: string] }>()
const wanted = reactive({
  title: props.page?.title ?? '',
  path: props.page?.path ?? '/',
  previewUrl: props.page?.previewUrl ?? '',
})

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
        hint="From the first slash on. A * at the end means all pages below: /news/*"
        :fault="about('path')"
      />
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

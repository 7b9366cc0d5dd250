<script setup lang="ts">
import { reactive, ref } from 'vue'
import type { ApiError } from '../../api/error'
import { asApiError } from '../../api/error'
import type { Page } from '../../api/types'
import Fault from '../../parts/Fault.vue'
import Labelled from '../../parts/Labelled.vue'
import Panel from '../../parts/Panel.vue'
import { useSites } from '../../stores/sites'

/** Adds a page, or corrects one that has moved. */
const props = defineProps<{ page: Page | null }>()
const emit = defineEmits<{ close: []; added: [id: string] }>()
const sites = useSites()
const wanted = reactive({ title: props.page?.title ?? '', path: props.page?.path ?? '/' })
const error = ref<ApiError | null>(null)

async function keep(): Promise<void> {
  error.value = null
  try {
    if (props.page) await sites.correctPage(props.page.id, { ...wanted })
    else emit('added', await sites.addPage(wanted.title, wanted.path))
    emit('close')
  } catch (e) {
    error.value = asApiError(e)
  }
}
</script>

<template>
  <Panel :open="true" :title="page ? 'Correct the page' : 'Add a page'" @close="emit('close')">
    <form novalidate @submit.prevent="keep">
      <Fault v-if="error" :error="error" class="mb-4" />
      <Labelled v-slot="{ id, invalid, described }" label="Title" :fault="error?.about('title')"
        ><input :id="id" v-model="wanted.title" class="field" :aria-invalid="invalid" :aria-describedby="described"
      /></Labelled>
      <Labelled
        v-slot="{ id, invalid, described }"
        label="Path"
        hint="From the first slash on. A * at the end means all pages below: /news/*"
        :fault="error?.about('path')"
        ><input
          :id="id"
          v-model="wanted.path"
          class="field font-mono"
          :aria-invalid="invalid"
          :aria-describedby="described"
      /></Labelled>
      <button class="act">{{ page ? 'Correct it' : 'Add the page' }}</button>
    </form>
  </Panel>
</template>

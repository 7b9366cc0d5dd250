<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { aboveFields } from '../../api/error'
import Fault from '../../parts/Fault.vue'
import InputField from '../../parts/InputField.vue'
import { useSubmission } from '../../parts/submission'
import Waiting from '../../parts/Waiting.vue'
import { beginCollection, putPick, useCollections } from '../../queries/picks'
import { typedOf } from '../collection/pick-form'
import PickFields from '../collection/PickFields.vue'
import { gathered } from './gathered'

/** A small window that the bookmark opens: what one is reading, filled in, to be kept with one press. */
const LAST = 'pebblestrand.collection'
const { data: collections, error: unknown, refetch } = useCollections()
const form = ref(gathered(location.hash))
const collection = ref(localStorage.getItem(LAST) ?? '')
const name = ref('Worth a look')
const keptIn = ref('')

const rows = computed(() => collections.value?.rows ?? [])
watch(rows, (known) => {
  if (!known.some(({ id }) => id === collection.value)) collection.value = known[0]?.id ?? ''
})

const { busy, error, about, submit } = useSubmission(async () => {
  const into = rows.value.find(({ id }) => id === collection.value) ?? (await beginCollection(name.value))
  collection.value = into.id
  await putPick(into.id, typedOf(form.value, null))
  localStorage.setItem(LAST, into.id)
  keptIn.value = into.title
})
const close = () => window.close()
</script>

<template>
  <div class="mx-auto max-w-[520px] px-5 py-5">
    <div v-if="keptIn" role="status">
      <h1 class="text-[22px] font-bold">Kept in {{ keptIn }}</h1>
      <p class="mt-2">{{ form.title || form.link }}</p>
      <p class="mt-5 flex flex-wrap gap-5">
        <button type="button" class="act" autofocus @click="close">Close this window</button>
        <RouterLink :to="`/sources/${collection}`" class="word self-center">See the collection</RouterLink>
      </p>
    </div>
    <template v-else>
      <h1 class="mb-3 text-[22px] font-bold">Pick this page</h1>
      <Fault v-if="unknown" :error="unknown" :retry="refetch" />
      <Waiting v-else-if="!collections" doing="Looking up your collections" />
      <form v-else novalidate @submit.prevent="submit">
        <Fault v-if="error" :error="aboveFields(error)" class="mb-4" />
        <div class="mb-4 flex items-end gap-5">
          <label v-if="rows.length" class="min-w-0 flex-1"
            ><span class="label block">Collection</span>
            <select v-model="collection" class="field cursor-pointer font-bold">
              <option v-for="one in rows" :key="one.id" :value="one.id">{{ one.title }}</option>
            </select></label
          >
          <div v-else class="min-w-0 flex-1">
            <InputField v-model="name" label="Begin a collection called" :fault="about('title')" />
          </div>
          <button class="act shrink-0" :disabled="busy" autofocus>Keep it</button>
        </div>
        <p class="mb-4 text-[13px] break-all text-soft">{{ form.link || 'There is no address with it.' }}</p>
        <PickFields v-model="form" :about="about" short />
      </form>
    </template>
  </div>
</template>

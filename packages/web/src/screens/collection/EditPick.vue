<script setup lang="ts">
import { completeWebAddress } from '@pebblestrand/core/addresses'
import { ref } from 'vue'
import { asApiError } from '../../api/error'
import type { Entry } from '../../api/types'
import InputField from '../../parts/InputField.vue'
import SheetForm from '../../parts/SheetForm.vue'
import { putPick, readPage } from '../../queries/picks'
import { emptyForm, formOf, typedOf, withFacts } from './pick-form'
import PickFields from './PickFields.vue'

/** A pick by its address, which is read, or by typing; or one that is there and is to be corrected. */
const props = defineProps<{ collectionId: string; entry: Entry | null; address?: string }>()
const emit = defineEmits<{ close: [] }>()
const form = ref(props.entry ? formOf(props.entry) : { ...emptyForm(), link: props.address ?? '' })
const reading = ref(false)
const unread = ref('')

const complete = () => (form.value.link = completeWebAddress(form.value.link))

async function read(): Promise<void> {
  complete()
  if (!form.value.link.trim()) return
  reading.value = true
  unread.value = ''
  try {
    form.value = withFacts(form.value, await readPage(form.value.link))
  } catch (error) {
    const { message, remedy } = asApiError(error)
    unread.value = `${message} ${remedy}`
  } finally {
    reading.value = false
  }
}
if (props.address) void read()
const run = () => putPick(props.collectionId, typedOf(form.value, props.entry?.key ?? null))
</script>

<template>
  <SheetForm
    :title="entry ? 'Correct a pick' : 'Add a pick'"
    :does="entry ? 'Keep it so' : 'Keep it'"
    :run="run"
    wide
    @close="emit('close')"
    @done="emit('close')"
  >
    <template #default="{ about }">
      <div class="grid items-start gap-x-5 sm:grid-cols-[minmax(0,1fr)_auto]">
        <InputField
          v-model="form.link"
          label="Address"
          inputmode="url"
          :fault="about('link')"
          :hint="unread ? undefined : 'Empty for one that leads nowhere, a book on a shelf for instance.'"
          @change="complete"
          @keydown.enter.prevent="read"
        />
        <button type="button" class="word sm:mt-7" :disabled="reading || !form.link.trim()" @click="read">
          {{ reading ? 'Reading the page …' : 'Read the page' }}
        </button>
      </div>
      <p v-if="unread" class="mb-4 text-[14px] text-coral" role="alert">{{ unread }}</p>
      <PickFields v-model="form" :about="about" />
    </template>
  </SheetForm>
</template>

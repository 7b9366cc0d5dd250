<script setup lang="ts">
import { aboveFields } from '../../../api/error'
import Fault from '../../../parts/Fault.vue'
import InputField from '../../../parts/InputField.vue'
import { useSubmission } from '../../../parts/submission'
import { startReading, type Reading } from '../../../queries/site-readings'

/** Where the site is: the rest it tells itself. */
const address = defineModel<string>({ required: true })
/** One that came to nothing. */
defineProps<{ failed: Reading | null }>()
const emit = defineEmits<{ started: [id: string]; type: [] }>()
const { busy, error, about, submit } = useSubmission(async () =>
  emit('started', (await startReading(address.value)).id),
)
</script>

<template>
  <form novalidate @submit.prevent="submit">
    <Fault v-if="error" :error="aboveFields(error)" class="mb-4" />
    <Fault
      v-else-if="failed?.state === 'failed'"
      :error="{
        message: failed.problem ?? 'It could not be read.',
        remedy: 'Correct the address, or type what is to be noted of the site.',
      }"
      class="mb-4"
    />
    <InputField
      v-model="address"
      label="Web address"
      inputmode="url"
      placeholder="ferries.example"
      hint="Any page of the site. Its name, pages, regions and cache are read from it and shown to you first."
      :fault="about('address')"
    />
    <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
      <button class="act" :disabled="busy">Read the site</button>
      <button type="button" class="word plain" @click="emit('type')">Type it instead</button>
    </div>
  </form>
</template>

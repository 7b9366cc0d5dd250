<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { aboveFields } from '../../../api/error'
import Fault from '../../../parts/Fault.vue'
import InputField from '../../../parts/InputField.vue'
import SiteFields from '../../../parts/SiteFields.vue'
import { useSubmission } from '../../../parts/submission'
import { addSite, type SiteFacts } from '../../../queries/sites'

/** A site that cannot be read from here is typed: behind a sign-in, or not there yet. */
const props = defineProps<{ address: string }>()
const emit = defineEmits<{ again: [] }>()
const router = useRouter()
const client = ref('')
const site = ref<SiteFacts>({
  name: '',
  origin: props.address,
  platform: 'hand-coded',
  cacheMinutes: 0,
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  language: '',
})
const { busy, error, about, submit } = useSubmission(async () => {
  const { id } = await addSite({ ...site.value, client: client.value, name: site.value.name || client.value })
  await router.push(`/sites/${id}`)
})
</script>

<template>
  <form novalidate @submit.prevent="submit">
    <Fault v-if="error" :error="aboveFields(error)" class="mb-4" />
    <InputField
      v-model="client"
      label="Client"
      hint="Who pays. A new name makes a new client."
      :fault="about('client')"
    />
    <SiteFields v-model="site" :about="about" :told="{ name: 'Left empty, it is called like the client.' }" />
    <p class="mb-4 text-[13.5px] text-soft">
      Its regions are taken to be as on most sites until it is read; the page plan says so.
    </p>
    <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
      <button class="act" :disabled="busy">Add the site</button>
      <button type="button" class="word plain" @click="emit('again')">Read it after all</button>
    </div>
  </form>
</template>

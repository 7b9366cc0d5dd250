<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import InputField from '../../parts/InputField.vue'
import SheetForm from '../../parts/SheetForm.vue'
import SiteFields from '../../parts/SiteFields.vue'
import { addSite, type SiteFacts } from '../../queries/sites'

const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const client = ref('')
const site = ref<SiteFacts>({
  name: '',
  origin: '',
  platform: 'hand-coded',
  cacheMinutes: 0,
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
})

async function add(): Promise<void> {
  const { id } = await addSite({ ...site.value, client: client.value, name: site.value.name || client.value })
  await router.push(`/sites/${id}`)
}
</script>

<template>
  <SheetForm v-slot="{ about }" title="Add a site" does="Add the site" :run="add" @close="emit('close')">
    <InputField
      v-model="client"
      label="Client"
      hint="Who pays. A new name makes a new client."
      :fault="about('client')"
    />
    <SiteFields v-model="site" :about="about" name-hint="Left empty, it is called like the client." />
  </SheetForm>
</template>

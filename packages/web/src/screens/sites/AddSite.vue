<script setup lang="ts">
import { reactive, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { ApiError } from '../../api/error'
import { asApiError } from '../../api/error'
import Fault from '../../parts/Fault.vue'
import Labelled from '../../parts/Labelled.vue'
import Panel from '../../parts/Panel.vue'
import { useSites } from '../../stores/sites'

defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const sites = useSites()
const router = useRouter()
const site = reactive({
  client: '',
  name: '',
  origin: '',
  platform: 'hand-coded',
  cacheMinutes: 0,
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
})
const error = ref<ApiError | null>(null)
const busy = ref(false)
void sites.loadPlatforms()

async function add(): Promise<void> {
  busy.value = true
  error.value = null
  try {
    const { id } = await sites.add({ ...site, name: site.name || site.client })
    await router.push(`/sites/${id}`)
  } catch (e) {
    error.value = asApiError(e)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <Panel :open="open" title="Add a site" @close="emit('close')">
    <form novalidate @submit.prevent="add">
      <Fault v-if="error" :error="error" class="mb-4" />
      <Labelled
        v-slot="{ id, invalid, described }"
        label="Client"
        hint="Who pays. A new name makes a new client."
        :fault="error?.about('client')"
        ><input :id="id" v-model="site.client" class="field" :aria-invalid="invalid" :aria-describedby="described"
      /></Labelled>
      <Labelled
        v-slot="{ id, invalid, described }"
        label="Name of the site"
        hint="Left empty, it is called like the client."
        :fault="error?.about('name')"
        ><input :id="id" v-model="site.name" class="field" :aria-invalid="invalid" :aria-describedby="described"
      /></Labelled>
      <Labelled v-slot="{ id, invalid, described }" label="Web address" :fault="error?.about('origin')"
        ><input
          :id="id"
          v-model="site.origin"
          class="field"
          inputmode="url"
          placeholder="https://"
          :aria-invalid="invalid"
          :aria-describedby="described"
      /></Labelled>
      <Labelled v-slot="{ id, invalid, described }" label="Built with" :fault="error?.about('platform')">
        <select :id="id" v-model="site.platform" class="field" :aria-invalid="invalid" :aria-describedby="described">
          <option v-for="platform in sites.platforms" :key="platform.id" :value="platform.id">
            {{ platform.name }}
          </option>
        </select>
      </Labelled>
      <Labelled
        v-slot="{ id, invalid, described }"
        label="Keeps pages in a cache, minutes"
        hint="0 where it keeps none."
        :fault="error?.about('cacheMinutes')"
        ><input
          :id="id"
          v-model.number="site.cacheMinutes"
          class="field"
          type="number"
          min="0"
          max="43200"
          :aria-invalid="invalid"
          :aria-describedby="described"
      /></Labelled>
      <button class="act mt-1" :disabled="busy">Add the site</button>
    </form>
  </Panel>
</template>

<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import Panel from '../../parts/Panel.vue'
import ReadingProgress from '../../parts/ReadingProgress.vue'
import { stopReading, useReading } from '../../queries/site-readings'
import AskAddress from './reading/AskAddress.vue'
import ReadSite from './reading/ReadSite.vue'
import TypedSite from './reading/TypedSite.vue'

/** A site is read, not typed: its address, what it says of itself, corrections. The address of this page holds how far that is. */
const emit = defineEmits<{ close: [] }>()
const route = useRoute()
const router = useRouter()
const address = ref('')
const readingId = computed(() => String(route.query.reading ?? ''))
const { data } = useReading(() => readingId.value)
const reading = computed(() => (readingId.value ? (data.value?.reading ?? null) : null))

const step = computed(() => {
  if (route.query.typed === '1') return 'type'
  if (!readingId.value || reading.value?.state === 'failed' || reading.value?.state === 'stopped') return 'ask'
  return reading.value?.state === 'done' ? 'correct' : 'read'
})
const titles = { ask: 'Add a site', type: 'Add a site', read: 'Reading the site', correct: 'What was read' }

const go = (query: Record<string, string | undefined>) =>
  router.replace({ query: { ...route.query, reading: undefined, typed: undefined, ...query } })
async function stop(): Promise<void> {
  await stopReading(readingId.value)
  await go({})
}
</script>

<template>
  <Panel :open="true" :title="titles[step]" :wide="step === 'correct'" @close="emit('close')">
    <AskAddress
      v-if="step === 'ask'"
      v-model="address"
      :failed="reading"
      @started="go({ reading: $event })"
      @type="go({ typed: '1' })"
    />
    <TypedSite v-else-if="step === 'type'" :address="address" @again="go({})" />
    <ReadSite
      v-else-if="step === 'correct'"
      :key="readingId"
      :reading-id="readingId"
      :read="reading!.read!"
      @again="go({})"
    />
    <ReadingProgress v-else-if="reading" :reading="reading" @stop="stop" />
  </Panel>
</template>

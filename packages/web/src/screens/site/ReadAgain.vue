<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { asApiError, aboveFields, type ApiError } from '../../api/error'
import type { SiteDetail } from '../../api/types'
import Fault from '../../parts/Fault.vue'
import PageWithRooms from '../../parts/PageWithRooms.vue'
import Panel from '../../parts/Panel.vue'
import ReadingProgress from '../../parts/ReadingProgress.vue'
import { useSubmission } from '../../parts/submission'
import { startReading, stopReading, useReading } from '../../queries/site-readings'
import { takeReading } from '../../queries/sites'
import { usePlatforms } from '../../queries/platforms'
import { differences, takenOver } from './reading-differences'

/** Reads a site again, and shows what it says otherwise than what is noted: each is taken over or left. */
const props = defineProps<{ site: SiteDetail }>()
const emit = defineEmits<{ close: [] }>()
const readingId = ref('')
const fault = ref<ApiError | null>(null)
const { data } = useReading(() => readingId.value)
const { data: platforms } = usePlatforms()
const reading = computed(() => data.value?.reading ?? null)
const read = computed(() => (reading.value?.state === 'done' ? reading.value.read : null))
const nameOf = (id: string) => platforms.value?.rows.find((one) => one.id === id)?.name ?? id
const found = computed(() => (read.value ? differences(props.site, read.value, nameOf) : []))
const chosen = ref<Record<string, boolean>>({})
watch(found, (all) => {
  for (const { id, wanted } of all) chosen.value[id] ??= wanted
})
const toTake = computed(() => found.value.filter(({ id }) => chosen.value[id]))

async function begin(): Promise<void> {
  fault.value = null
  try {
    readingId.value = (await startReading(props.site.origin, props.site.id)).id
  } catch (e) {
    fault.value = asApiError(e)
  }
}
void begin()

async function stop(): Promise<void> {
  await stopReading(readingId.value)
  emit('close')
}
const { busy, error, submit } = useSubmission(async () => {
  await takeReading(
    props.site.id,
    takenOver(
      readingId.value,
      toTake.value.map(({ take }) => take),
    ),
  )
  emit('close')
})
</script>

<template>
  <Panel :open="true" title="Read it again" wide @close="emit('close')">
    <Fault v-if="fault" :error="fault" :retry="begin" />
    <Fault
      v-else-if="reading?.state === 'failed'"
      :error="{
        message: reading.problem ?? 'It could not be read.',
        remedy: 'What is noted stays as it is. Try again later, or ask the client.',
      }"
      :retry="begin"
    />
    <form v-else-if="read" novalidate @submit.prevent="submit">
      <Fault v-if="error" :error="aboveFields(error)" class="mb-4" />
      <PageWithRooms v-if="read.picture" :reading-id="readingId" :read="read" class="mb-4 max-h-[360px]" />
      <p v-for="note in read.notes" :key="note" class="mb-2 text-[13.5px] text-soft">{{ note }}</p>
      <p v-if="!found.length">All is as it is noted. Nothing has to be done.</p>
      <ul v-else class="ledger border-y border-rule">
        <li v-for="difference in found" :key="difference.id">
          <label class="flex items-baseline gap-3 py-2"
            ><input v-model="chosen[difference.id]" type="checkbox" />
            <span class="min-w-0 flex-1"
              ><b>{{ difference.label }}</b
              ><br /><span class="text-soft">{{ difference.was }}</span> → {{ difference.now }}</span
            ></label
          >
        </li>
      </ul>
      <button v-if="found.length" class="act mt-5" data-first :disabled="busy || !toTake.length">
        Take over {{ toTake.length === found.length ? 'all' : toTake.length }}
      </button>
    </form>
    <ReadingProgress v-else-if="reading" :reading="reading" @stop="stop" />
  </Panel>
</template>

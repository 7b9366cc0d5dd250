<script setup lang="ts">
import { routes } from '@pebblestrand/contract'
import { reviewFieldIds, reviewFields, type ReviewField } from '@pebblestrand/core/sources/review-fields'
import { computed, ref, shallowRef } from 'vue'
import { ask } from '../../api/call'
import { asApiError, type ApiError } from '../../api/error'
import type { FileReading, ReadFile } from '../../api/types'
import { say } from '../../frame/notices'
import { plural } from '../../parts/address'
import Fault from '../../parts/Fault.vue'
import Panel from '../../parts/Panel.vue'
import Waiting from '../../parts/Waiting.vue'
import { changed } from '../../queries/query'
import { textOfFile, withColumn } from './file-reading'
import FileFaults from './FileFaults.vue'

/** A file of reviews: chosen, its columns matched, what is wrong shown, and kept all at once. */
const props = defineProps<{ sourceId: string }>()
const emit = defineEmits<{ close: [] }>()

const text = ref('')
const name = ref('')
const read = shallowRef<ReadFile | null>(null)
const error = shallowRef<ApiError | null>(null)
const busy = ref(false)
const leaveOut = ref(false)

async function look(reading: FileReading | null, keep: 'no' | 'if all are right' | 'those that are right' = 'no') {
  busy.value = true
  error.value = null
  try {
    const params = { id: props.sourceId }
    read.value = await ask(routes.keptReviews.readFile, { params, body: { text: text.value, reading, keep } })
    if (!read.value.kept) return
    await changed(routes.sources.items, routes.sources.read, routes.sources.list)
    say(`${plural(read.value.added, 'review')} added, ${read.value.changed} changed.`)
    emit('close')
  } catch (e) {
    error.value = asApiError(e)
  } finally {
    busy.value = false
  }
}

async function choose(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  read.value = null
  name.value = file.name
  text.value = await textOfFile(file)
  await look(null)
}
const match = (field: ReviewField, column: string) =>
  look(withColumn(read.value!.reading, field, column === '' ? null : Number(column)))
const right = computed(() => (read.value ? read.value.rows - read.value.faulty : 0))
const canKeep = computed(() => read.value !== null && right.value > 0 && (read.value.faulty === 0 || leaveOut.value))
</script>

<template>
  <Panel :open="true" title="Bring in a file of reviews" wide @close="emit('close')">
    <label class="label block" for="review-file">A CSV file, one review a row, the columns’ names in the first</label>
    <input
      id="review-file"
      type="file"
      accept=".csv,.tsv,.txt,text/csv"
      class="mt-1 block w-full"
      data-first
      @change="choose"
    />
    <Fault v-if="error" :error="error" class="mt-4" />
    <Waiting v-if="busy && !read" doing="Reading the file" />
    <template v-if="read">
      <h3 class="label mt-5 font-sans tracking-normal">
        Which column is what{{
          { guessed: ', as far as can be told', kept: ', as it was the last time', asked: '' }[read.known]
        }}
      </h3>
      <ul class="mt-1 grid gap-x-8 sm:grid-cols-2">
        <li
          v-for="field in reviewFieldIds"
          :key="field"
          class="flex items-baseline gap-3 border-t border-rule py-[5px]"
        >
          <label :for="`column-${field}`" class="w-[110px] shrink-0">{{ reviewFields[field].label }}</label>
          <select
            :id="`column-${field}`"
            class="min-w-0 flex-1 cursor-pointer bg-transparent"
            :class="read.reading.columns[field] === undefined ? 'text-soft' : 'font-bold'"
            :value="read.reading.columns[field] ?? ''"
            :disabled="busy"
            @change="match(field, ($event.target as HTMLSelectElement).value)"
          >
            <option value="">not in the file</option>
            <option v-for="(head, column) in read.heads" :key="column" :value="column">
              {{ head }}{{ read.sample[0]?.[column] ? `: ${read.sample[0][column]!.slice(0, 40)}` : '' }}
            </option>
          </select>
        </li>
      </ul>
      <p class="mt-3 flex flex-wrap gap-x-6 text-[14px]">
        <label
          >Dates begin with
          <select
            class="cursor-pointer bg-transparent font-bold"
            :value="read.reading.dates"
            :disabled="busy"
            @change="
              look({ ...read.reading, dates: ($event.target as HTMLSelectElement).value as FileReading['dates'] })
            "
          >
            <option value="day-first">the day</option>
            <option value="month-first">the month</option>
            <option value="year-first">the year</option>
          </select></label
        >
        <label
          >The best rating is
          <select
            class="cursor-pointer bg-transparent font-bold"
            :value="read.reading.best"
            :disabled="busy"
            @change="
              look({ ...read.reading, best: Number(($event.target as HTMLSelectElement).value) as FileReading['best'] })
            "
          >
            <option v-for="best in [5, 10, 100]" :key="best" :value="best">{{ best }}</option>
          </select></label
        >
      </p>
      <p class="mt-4" role="status">
        {{ plural(read.rows, 'row') }} in {{ name }}: {{ read.added }} new, {{ read.changed }} changed,
        {{ read.same }} as they are<template v-if="read.faulty"
          >, <b class="text-coral">{{ read.faulty }} faulty</b></template
        >.
      </p>
      <FileFaults v-if="read.faults.length" :faults="read.faults" class="mt-2" />
      <label v-if="read.faulty" class="mt-3 flex items-baseline gap-2">
        <input v-model="leaveOut" type="checkbox" />
        Leave the {{ plural(read.faulty, 'faulty row') }} out. Otherwise nothing is kept until the file is right.
      </label>
      <p class="mt-4 flex flex-wrap items-center gap-5">
        <button
          type="button"
          class="act"
          :disabled="busy || !canKeep"
          @click="look(read.reading, leaveOut ? 'those that are right' : 'if all are right')"
        >
          Keep {{ plural(right, 'review') }}
        </button>
        <span v-if="busy" class="text-soft">One moment …</span>
      </p>
    </template>
  </Panel>
</template>

<script setup lang="ts">
import { methodIds, methodNames } from '@pebblestrand/core/methods/words'
import { regionIds } from '@pebblestrand/core/platforms/schema'
import { statusIds, statuses, catalogue, type FindingCode } from '@pebblestrand/core/verify/words'
import { computed } from 'vue'
import { useFilterValues } from '../../queries/installs'

const props = defineProps<{ filters: Record<string, string> }>()
const emit = defineEmits<{ show: [change: Record<string, string | undefined>] }>()
const { data: known } = useFilterValues(() => props.filters.siteId ?? '')
const none = { clients: [], sites: [], pages: [], widgets: [], people: [], findings: [] }
const values = computed(() => known.value ?? none)
/** Beside the table all filters are in sight; above it they would push it away. */
const wide = matchMedia('(min-width: 1024px)').matches

const fields = computed(() => [
  { name: 'status', label: 'Status', options: statusIds.map((id) => ({ id, name: statuses[id].name })) },
  {
    name: 'finding',
    label: 'Finding',
    options: values.value.findings.map((id) => ({
      id,
      name: catalogue[id as FindingCode]?.title.replace(/\.$/, '') ?? id,
    })),
  },
  { name: 'client', label: 'Client', options: values.value.clients },
  { name: 'siteId', label: 'Site', options: values.value.sites },
  ...(props.filters.siteId ? [{ name: 'pageId', label: 'Page', options: values.value.pages }] : []),
  { name: 'widgetId', label: 'Widget', options: values.value.widgets },
  { name: 'region', label: 'Region', options: regionIds.map((id) => ({ id, name: id })) },
  { name: 'method', label: 'Method', options: methodIds.map((id) => ({ id, name: methodNames[id].name })) },
  {
    name: 'held',
    label: 'Release',
    options: [
      { id: '1', name: 'held at one' },
      { id: '0', name: 'the newest' },
    ],
  },
  { name: 'by', label: 'Planned by', options: values.value.people },
])
const days = [
  { name: 'from', label: 'from', full: 'Planned from' },
  { name: 'to', label: 'to', full: 'Planned to' },
]
const names = computed(() => [...fields.value, ...days].map((f) => f.name).concat('q', 'pageId'))
const filtered = computed(() => names.value.some((name) => props.filters[name]))
const change = (name: string, value: string) =>
  emit('show', { [name]: value || undefined, page: undefined, ...(name === 'siteId' ? { pageId: undefined } : {}) })
const cleared = computed(() => Object.fromEntries([...names.value, 'page', 'retired'].map((name) => [name, undefined])))
</script>

<template>
  <form aria-label="Filters" @submit.prevent>
    <label class="label block" for="register-words">Only those with</label>
    <input
      id="register-words"
      class="field mb-4"
      type="search"
      :value="filters.q ?? ''"
      @change="change('q', ($event.target as HTMLInputElement).value)"
    />
    <details :open="wide || filtered">
      <summary class="word mb-3 w-max lg:hidden">Narrow it down</summary>
      <div class="ledger border-y border-rule sm:columns-2 sm:gap-x-8 lg:columns-1">
        <div v-for="field in fields" :key="field.name" class="filter">
          <label class="label" :for="`filter-${field.name}`">{{ field.label }}</label>
          <select
            :id="`filter-${field.name}`"
            :class="filters[field.name] ? 'font-bold text-ink' : 'text-soft'"
            :value="filters[field.name] ?? ''"
            @change="change(field.name, ($event.target as HTMLSelectElement).value)"
          >
            <option value="">any</option>
            <option v-for="option in field.options" :key="option.id" :value="option.id">{{ option.name }}</option>
          </select>
        </div>
        <div v-for="day in days" :key="day.name" class="filter">
          <label class="label pl-3" :for="`filter-${day.name}`">{{ day.label }}</label>
          <input
            :id="`filter-${day.name}`"
            type="date"
            :aria-label="day.full"
            :class="filters[day.name] ? 'font-bold text-ink' : 'text-soft'"
            :value="filters[day.name] ?? ''"
            @change="change(day.name, ($event.target as HTMLInputElement).value)"
          />
        </div>
        <label class="flex min-h-[34px] items-center gap-2 text-[14px]"
          ><input
            type="checkbox"
            :checked="filters.retired === '1'"
            @change="change('retired', ($event.target as HTMLInputElement).checked ? '1' : '')"
          />
          Retired ones too</label
        >
      </div>
    </details>
    <button v-if="filtered" type="button" class="word mt-4" @click="emit('show', cleared)">Show all</button>
  </form>
</template>

<style scoped>
@reference '../../style.css';
/* One filter a line: what it is at the left, what it lets through at the right. */
.filter {
  @apply grid min-h-[34px] break-inside-avoid grid-cols-[74px_minmax(0,1fr)] items-center gap-2;
}
.filter :is(select, input) {
  @apply w-full min-w-0 cursor-pointer border-0 bg-transparent text-[14px];
}
</style>

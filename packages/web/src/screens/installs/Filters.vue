<script setup lang="ts">
import { methodIds, methods, regionIds } from '@pebblestrand/core/snippet'
import { statusIds, statuses, catalogue, type FindingCode } from '@pebblestrand/core/verify'
import { computed } from 'vue'
import { useRegister } from '../../stores/register'

const props = defineProps<{ filters: Record<string, string> }>()
const emit = defineEmits<{ show: [change: Record<string, string | undefined>] }>()
const register = useRegister()

const fields = computed(() => [
  { name: 'status', label: 'Status', options: statusIds.map((id) => ({ id, name: statuses[id].name })) },
  {
    name: 'finding',
    label: 'Finding',
    options: register.values.findings.map((id) => ({
      id,
      name: catalogue[id as FindingCode]?.title.replace(/\.$/, '') ?? id,
    })),
  },
  { name: 'siteId', label: 'Site', options: register.values.sites },
  { name: 'widgetId', label: 'Widget', options: register.values.widgets },
  { name: 'region', label: 'Region', options: regionIds.map((id) => ({ id, name: id })) },
  { name: 'method', label: 'Method', options: methodIds.map((id) => ({ id, name: methods[id].name })) },
])
const filtered = computed(() => [...fields.value.map((f) => f.name), 'q', 'pageId'].some((name) => props.filters[name]))
const change = (name: string, value: string) => emit('show', { [name]: value || undefined, page: undefined })
const none = computed(() =>
  Object.fromEntries(
    [...fields.value.map((f) => f.name), 'q', 'pageId', 'page', 'retired'].map((name) => [name, undefined]),
  ),
)
</script>

<template>
  <form aria-label="Filters" class="grid grid-cols-2 gap-x-5 lg:block" @submit.prevent>
    <div class="col-span-2">
      <label class="label block" for="register-words">Only those with</label>
      <input
        id="register-words"
        class="field mb-3"
        type="search"
        :value="filters.q ?? ''"
        @change="change('q', ($event.target as HTMLInputElement).value)"
      />
    </div>
    <div v-for="field in fields" :key="field.name">
      <label class="label block" :for="`filter-${field.name}`">{{ field.label }}</label>
      <select
        :id="`filter-${field.name}`"
        class="field mb-3"
        :class="{ 'font-bold': filters[field.name] }"
        :value="filters[field.name] ?? ''"
        @change="change(field.name, ($event.target as HTMLSelectElement).value)"
      >
        <option value="">any</option>
        <option v-for="option in field.options" :key="option.id" :value="option.id">{{ option.name }}</option>
      </select>
    </div>
    <label class="flex items-center gap-2"
      ><input
        type="checkbox"
        :checked="filters.retired === '1'"
        @change="change('retired', ($event.target as HTMLInputElement).checked ? '1' : '')"
      />
      Retired ones too</label
    >
    <button v-if="filtered" type="button" class="word mt-4" @click="emit('show', none)">Show all</button>
  </form>
</template>

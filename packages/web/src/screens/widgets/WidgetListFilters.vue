<script setup lang="ts">
import { kindList } from '@pebblestrand/core/kinds'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useWidgetFilters, type WidgetFilters } from '../../queries/widgets'
import { filterNames, states, uses } from './filters'

defineProps<{ filters: WidgetFilters }>()
const route = useRoute()
const router = useRouter()
const { data: known } = useWidgetFilters()

const listed = (words: Record<string, string>) => Object.entries(words).map(([id, name]) => ({ id, name }))
const fields = computed(() => [
  {
    name: 'kind' as const,
    label: 'Kind',
    options: (known.value?.kinds ?? []).map((id) => ({ id, name: kindList[id]?.name ?? id })),
  },
  { name: 'client' as const, label: 'Client', options: (known.value?.clients ?? []).map((id) => ({ id, name: id })) },
  { name: 'state' as const, label: 'State', options: listed(states) },
  { name: 'use' as const, label: 'Use', options: listed(uses) },
])
const show = (change: Record<string, string | undefined>) =>
  router.replace({ query: { ...route.query, ...change, page: undefined } })
const isNarrowed = computed(() => filterNames.some((name) => route.query[name]))
</script>

<template>
  <form aria-label="Filters" class="ledger border-y border-rule" @submit.prevent>
    <label
      v-for="field in fields"
      :key="field.name"
      class="grid min-h-[34px] grid-cols-[52px_minmax(0,1fr)] items-center gap-2"
      ><span class="label">{{ field.label }}</span>
      <select
        class="w-full min-w-0 cursor-pointer border-0 bg-transparent text-[14px]"
        :class="filters[field.name] ? 'font-bold text-ink' : 'text-soft'"
        :value="filters[field.name] ?? ''"
        @change="show({ [field.name]: ($event.target as HTMLSelectElement).value || undefined })"
      >
        <option value="">any</option>
        <option v-for="option in field.options" :key="option.id" :value="option.id">{{ option.name }}</option>
      </select></label
    >
  </form>
  <button
    v-if="isNarrowed"
    type="button"
    class="word mt-2"
    @click="show(Object.fromEntries(filterNames.map((name) => [name, undefined])))"
  >
    Show all
  </button>
</template>

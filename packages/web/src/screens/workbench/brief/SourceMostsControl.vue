<script setup lang="ts">
import TypedField from '../../../parts/TypedField.vue'
import type { ControlOf } from '@pebblestrand/core/kinds'
import { computed } from 'vue'
import { useWorkbench } from '../../../stores/workbench'

/** How many items of each source the widget reads at most; empty for as many as there are. */
interface Most {
  id: string
  most: number
}
const props = defineProps<{ control: ControlOf<'source-mosts'>; value: Most[]; label: string }>()
const emit = defineEmits<{ set: [value: Most[]]; done: [] }>()
const bench = useWorkbench()
const lines = computed(() =>
  bench.sourceIds.map((id) => ({
    id,
    title: bench.sources[id]?.title ?? 'a source that is gone',
    most: props.value.find((one) => one.id === id)?.most,
  })),
)

/** What is no whole number from 1 on stands for no limit. */
function change(id: string, typed: string): void {
  const most = Math.min(200, Math.floor(Number(typed)))
  const others = props.value.filter((one) => one.id !== id && bench.sourceIds.includes(one.id))
  emit('set', most >= 1 ? [...others, { id, most }] : others)
}
</script>

<template>
  <ul class="ledger max-h-[260px] overflow-auto" :aria-label="label">
    <li v-for="{ id, title, most } in lines" :key="id" class="flex items-center gap-3 py-[5px]">
      <label :for="`most-${id}`" class="min-w-0 flex-1 truncate" dir="auto">{{ title }}</label>
      <TypedField
        :id="`most-${id}`"
        class="field w-[76px] shrink-0"
        type="number"
        min="1"
        max="200"
        placeholder="all"
        :value="most ?? ''"
        @change="change(id, $event)"
        @keydown.enter.prevent="emit('done')"
      />
    </li>
  </ul>
  <p class="mt-2 text-[13px] text-soft">Empty for as many as there are.</p>
</template>

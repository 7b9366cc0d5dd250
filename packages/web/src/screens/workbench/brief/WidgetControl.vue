<script setup lang="ts">
import { kindOf, type ControlOf } from '@pebblestrand/core/kinds'
import { computed, ref } from 'vue'
import { useWidgetList } from '../../../queries/widgets'
import { useWorkbench } from '../../../stores/workbench'
import OptionList from './OptionList.vue'

/** Another widget, found by its name. */
const props = defineProps<{ control: ControlOf<'widget'>; value: string; label: string }>()
const emit = defineEmits<{ set: [value: string]; done: [] }>()
const bench = useWorkbench()
const words = ref('')
const { data } = useWidgetList(() => ({ q: words.value, page: 1, size: 50 }))
const fits = (kind: string) => {
  const known = kindOf(kind)
  if (!known) return false
  const isOver = known.presence !== undefined && known.content === undefined
  return props.control.of === 'over-page' ? isOver : !isOver && !known.facts?.length && !known.form
}
const options = computed(() => [
  { value: '', words: props.control.none },
  ...(data.value?.rows ?? [])
    .filter(({ id, kind }) => id !== bench.widget?.id && fits(kind))
    .map(({ id, name }) => ({ value: id, words: name })),
])
</script>

<template>
  <div>
    <input
      v-model="words"
      type="search"
      class="field mb-2"
      :aria-label="`${label}: find a widget`"
      placeholder="Name"
    />
    <OptionList
      :options="options"
      :value="value"
      :label="label"
      @set="emit('set', $event as string)"
      @done="emit('done')"
    />
  </div>
</template>

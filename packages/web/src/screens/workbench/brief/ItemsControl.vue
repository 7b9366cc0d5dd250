<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import OrderButtons from '../../../parts/OrderButtons.vue'
import { useWorkbench } from '../../../stores/workbench'

/** Items that were chosen in the sieve: in which order, and which no longer. */
const props = defineProps<{ control: ControlOf<'items'>; value: string[]; label: string }>()
const emit = defineEmits<{ set: [value: string[]] }>()
const bench = useWorkbench()
const titleOf = (id: string) => bench.result?.sieve?.named[id] ?? 'one that is not there any more'

function move(from: number, by: 1 | -1): void {
  const next = [...props.value]
  const [moved] = next.splice(from, 1)
  next.splice(from + by, 0, moved!)
  emit('set', next)
}
</script>

<template>
  <ol class="max-h-[220px] overflow-auto">
    <li v-for="(id, at) in value" :key="id" class="flex items-center gap-2 py-[2px]">
      <span class="min-w-0 flex-1 truncate" dir="auto">{{ titleOf(id) }}</span>
      <OrderButtons
        :at="at"
        :count="value.length"
        :labels="{
          up: `Earlier: ${titleOf(id)}`,
          down: `Later: ${titleOf(id)}`,
          out: `No longer here: ${titleOf(id)}`,
        }"
        @move="move(at, $event)"
        @out="
          emit(
            'set',
            value.filter((other) => other !== id),
          )
        "
      />
    </li>
  </ol>
  <p v-if="!value.length">{{ control.none }}</p>
  <p class="mt-2 text-[13px] text-soft">Chosen below the stage, where the sieve’s last step lists what is shown.</p>
</template>

<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import { ArrowDown, ArrowUp, X } from '@lucide/vue'
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
      <button
        type="button"
        class="cursor-pointer disabled:opacity-30"
        :disabled="at === 0"
        :aria-label="`Earlier: ${titleOf(id)}`"
        @click="move(at, -1)"
      >
        <ArrowUp :size="15" />
      </button>
      <button
        type="button"
        class="cursor-pointer disabled:opacity-30"
        :disabled="at === value.length - 1"
        :aria-label="`Later: ${titleOf(id)}`"
        @click="move(at, 1)"
      >
        <ArrowDown :size="15" />
      </button>
      <button
        type="button"
        class="cursor-pointer"
        :aria-label="`No longer here: ${titleOf(id)}`"
        @click="
          emit(
            'set',
            value.filter((other) => other !== id),
          )
        "
      >
        <X :size="15" />
      </button>
    </li>
  </ol>
  <p v-if="!value.length">{{ control.none }}</p>
  <p class="mt-2 text-[13px] text-soft">Chosen below the stage, where the sieve’s last step lists what is shown.</p>
</template>

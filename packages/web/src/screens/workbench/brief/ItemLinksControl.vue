<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import { useWorkbench } from '../../../stores/workbench'

/** Where a click on single items leads: an address for each, the items chosen in the sieve. */
interface Link {
  id: string
  url: string
}
const props = defineProps<{ control: ControlOf<'item-links'>; value: Link[]; label: string }>()
const emit = defineEmits<{ set: [value: Link[]] }>()
const bench = useWorkbench()
const titleOf = (id: string) => bench.result?.sieve?.named[id] ?? 'one that is not there any more'
const change = (at: number, url: string) =>
  emit('set', props.value.with(at, { id: props.value[at]!.id, url: url.trim() }))
</script>

<template>
  <ol class="ledger max-h-[260px] overflow-auto" :aria-label="label">
    <li v-for="(link, at) in value" :key="link.id" class="py-2">
      <p class="flex items-center gap-2">
        <span class="min-w-0 flex-1 truncate" dir="auto">{{ titleOf(link.id) }}</span>
        <button
          type="button"
          class="word plain"
          :aria-label="`No own link: ${titleOf(link.id)}`"
          @click="emit('set', value.toSpliced(at, 1))"
        >
          Take out
        </button>
      </p>
      <input
        class="field mt-1 w-full"
        type="url"
        placeholder="https://…"
        :aria-label="`Address for ${titleOf(link.id)}`"
        :value="link.url"
        @change="change(at, ($event.target as HTMLInputElement).value)"
      />
    </li>
  </ol>
  <p v-if="!value.length">{{ control.none }}</p>
  <p class="mt-2 text-[13px] text-soft">Chosen below the stage, where the sieve’s last step lists what is shown.</p>
</template>

<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import { useWorkbench } from '../../../stores/workbench'
import OwnLink from './OwnLink.vue'

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
      <OwnLink
        :title="titleOf(link.id)"
        :url="link.url"
        @change="change(at, $event)"
        @out="emit('set', value.toSpliced(at, 1))"
      />
    </li>
  </ol>
  <p v-if="!value.length">{{ control.none }}</p>
  <p class="mt-2 text-[13px] text-soft">Chosen below the stage, where the sieve’s last step lists what is shown.</p>
</template>

<script setup lang="ts">
import Panel from '../../parts/Panel.vue'
import { useWorkbench } from '../../stores/workbench'

defineEmits<{ close: [] }>()
const bench = useWorkbench()
</script>

<template>
  <Panel :open="true" :title="`The draft beside release ${bench.newest?.number}`" wide @close="$emit('close')">
    <p v-if="!bench.changes.length">Nothing is different.</p>
    <table v-else class="w-full border-collapse text-left">
      <thead>
        <tr class="label border-b border-ink">
          <th scope="col" class="py-1 pr-4">Setting</th>
          <th scope="col" class="py-1 pr-4">Release {{ bench.newest?.number }}</th>
          <th scope="col" class="py-1">Draft</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="change in bench.changes" :key="change.key" class="border-b border-rule align-top">
          <th scope="row" class="py-2 pr-4 font-normal text-soft">{{ change.label }}</th>
          <td class="py-2 pr-4">{{ change.before }}</td>
          <td class="py-2 font-bold">{{ change.after }}</td>
        </tr>
      </tbody>
    </table>
  </Panel>
</template>

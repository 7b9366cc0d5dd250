<script setup lang="ts">
import { computed } from 'vue'
import { useWorkbench } from '../../stores/workbench'

/** Of a widget that asks visitors for something: where what becomes of the answers is decided, and where they are. */
const bench = useWorkbench()
const asks = computed(() => Boolean(bench.parsed && bench.kind?.form?.(bench.parsed)))
</script>

<template>
  <p v-if="asks" class="-mt-2 mb-3 flex flex-wrap gap-x-5 text-[13.5px]">
    <RouterLink :to="`/widgets/${bench.widget!.id}/answers`" class="word text-[13.5px]"
      >What becomes of the answers</RouterLink
    >
    <RouterLink :to="`/results/leads?widgetId=${bench.widget!.id}`" class="word plain text-[13.5px]"
      >See them</RouterLink
    >
  </p>
</template>

<script setup lang="ts">
import { computed } from 'vue'

/** Walks the pages of a list; nothing where one page holds it all. */
const props = defineProps<{ page: number; size: number; total: number }>()
const emit = defineEmits<{ go: [page: number] }>()
const last = computed(() => Math.max(1, Math.ceil(props.total / props.size)))
</script>

<template>
  <nav v-if="last > 1" class="flex items-center gap-4 py-4" aria-label="Pages of this list">
    <button type="button" class="word" :disabled="page <= 1" @click="emit('go', page - 1)">Earlier</button>
    <span>{{ (page - 1) * size + 1 }} to {{ Math.min(total, page * size) }} of {{ total }}</span>
    <button type="button" class="word" :disabled="page >= last" @click="emit('go', page + 1)">Later</button>
  </nav>
</template>

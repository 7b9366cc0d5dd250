<script setup lang="ts">
import { X } from '@lucide/vue'

/** Takes one piece of a made-up visit out. */
defineProps<{ says: string }>()
defineEmits<{ press: [] }>()
</script>

<template>
  <button
    type="button"
    class="grid size-6 flex-none cursor-pointer place-items-center"
    :aria-label="says"
    @click="$emit('press')"
  >
    <X :size="13" />
  </button>
</template>

<script setup lang="ts">
import TypedField from '../../../parts/TypedField.vue'

/** Where a click on one item leads. */
defineProps<{ title: string; url: string }>()
const emit = defineEmits<{ change: [url: string]; out: [] }>()
</script>

<template>
  <div>
    <p class="flex items-center gap-2">
      <span class="min-w-0 flex-1 truncate" dir="auto">{{ title }}</span>
      <button type="button" class="word plain" :aria-label="`No own link: ${title}`" @click="emit('out')">
        Take out
      </button>
    </p>
    <TypedField
      class="field mt-1 w-full"
      type="url"
      placeholder="https://…"
      :aria-label="`Address for ${title}`"
      :value="url"
      @change="(text: string) => emit('change', text)"
    />
  </div>
</template>

<script setup lang="ts">
import AddressField from '../../../parts/AddressField.vue'

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
    <AddressField
      class="field mt-1 w-full"
      :aria-label="`Address for ${title}`"
      :value="url"
      @change="emit('change', $event)"
    />
  </div>
</template>

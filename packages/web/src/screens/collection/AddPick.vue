<script setup lang="ts">
import { ref } from 'vue'

/** Where a collection grows: an address that is read, or nothing, to type a pick. */
const emit = defineEmits<{ add: [address: string] }>()
const address = ref('')
function add(): void {
  emit('add', address.value.trim())
  address.value = ''
}
</script>

<template>
  <form class="flex items-end gap-5" novalidate @submit.prevent="add">
    <div class="min-w-0 flex-1">
      <label class="label block" for="pick-address">Address of what you pick, or nothing to type it</label>
      <input id="pick-address" v-model="address" class="field" inputmode="url" placeholder="https://" />
    </div>
    <button class="act shrink-0">{{ address.trim() ? 'Read and add' : 'Type a pick' }}</button>
  </form>
</template>

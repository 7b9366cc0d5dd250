<script setup lang="ts">
import { useId } from 'vue'
import { useRoute, useRouter } from 'vue-router'

/** The words a list is narrowed by; they stand in the address. */
const route = useRoute()
const router = useRouter()
const id = useId()
const narrow = (words: string) => router.replace({ query: { ...route.query, q: words || undefined, page: undefined } })
</script>

<template>
  <label class="label mt-5 block" :for="id">Only those with</label>
  <input
    :id="id"
    class="field"
    type="search"
    :value="route.query.q ?? ''"
    @change="narrow(($event.target as HTMLInputElement).value)"
  />
</template>

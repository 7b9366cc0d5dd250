<script setup lang="ts">
import { useId } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { plural } from './address'

/** What stands beside a list: how many there are, the words it is narrowed by (kept in the address), and how to add one. */
defineProps<{ total: number | undefined; one: string; adds: string }>()
const emit = defineEmits<{ add: [] }>()
const route = useRoute()
const router = useRouter()
const id = useId()
const narrow = (words: string) => router.replace({ query: { ...route.query, q: words || undefined, page: undefined } })
</script>

<template>
  <p v-if="total !== undefined" class="mt-2 text-soft">
    {{ plural(total, one) }}{{ route.query.q ? ` with “${route.query.q}”` : '' }}.
  </p>
  <label class="label mt-5 block" :for="id">Only those with</label>
  <input
    :id="id"
    class="field"
    type="search"
    :value="route.query.q ?? ''"
    @change="narrow(($event.target as HTMLInputElement).value)"
  />
  <button type="button" class="act mt-6" @click="emit('add')">{{ adds }}</button>
  <slot />
  <p class="mt-5"><RouterLink to="/removed" class="word plain">Removed lately</RouterLink></p>
</template>

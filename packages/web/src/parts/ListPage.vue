<script setup lang="ts" generic="T">
import { ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { ApiError } from '../api/error'
import { asApiError } from '../api/error'
import type { Paged } from '../api/types'
import Fault from './Fault.vue'
import Pager from './Pager.vue'
import Waiting from './Waiting.vue'

/** A screen that is one paged list: what is said of it at the left, its rows in the slot; words and page are in the address. */
const props = defineProps<{
  title: string
  list: Paged<T> | null
  load: (q: string, page: number) => Promise<unknown>
  waiting: string
  /** What is said where there is nothing, and where nothing has the words looked for. */
  empty: string
  emptyFor?: string
}>()
defineSlots<{ aside(): unknown; default(props: { rows: T[] }): unknown }>()
const route = useRoute()
const router = useRouter()
const error = ref<ApiError | null>(null)
const q = () => String(route.query.q ?? '')
const page = () => Number(route.query.page ?? 1)

const fetchPage = () =>
  props.load(q(), page()).then(
    () => (error.value = null),
    (e: unknown) => (error.value = asApiError(e)),
  )
const own = route.path // on the way out the address is another screen's already
watch([q, page], () => route.path === own && fetchPage(), { immediate: true })
</script>

<template>
  <div class="grid gap-x-9 gap-y-6 px-4 py-7 lg:grid-cols-[190px_minmax(0,1fr)] lg:px-8">
    <div>
      <h1 class="text-[31px] font-bold">{{ title }}</h1>
      <slot name="aside" />
    </div>
    <div class="min-w-0">
      <Fault v-if="error" :error="error" :retry="fetchPage" />
      <Waiting v-else-if="!list" :doing="waiting" />
      <p v-else-if="!list.rows.length" class="border-t border-ink pt-4">{{ q() && emptyFor ? emptyFor : empty }}</p>
      <slot v-else :rows="list.rows" />
      <Pager
        v-if="list"
        :page="list.page"
        :size="list.size"
        :total="list.total"
        @go="router.replace({ query: { ...route.query, page: String($event) } })"
      />
    </div>
  </div>
</template>

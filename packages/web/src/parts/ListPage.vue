<script setup lang="ts" generic="T">
import { useRoute, useRouter } from 'vue-router'
import type { ApiError } from '../api/error'
import type { Paged } from '../api/types'
import Fault from './Fault.vue'
import Pager from './Pager.vue'
import Waiting from './Waiting.vue'

/** A screen that is one paged list: what is said of it at the left, its rows in the slot; words and page are in the address. */
defineProps<{
  title: string
  list: Paged<T> | undefined
  error: ApiError | null
  retry: () => unknown
  waiting: string
  /** What is said where there is nothing, and where nothing has the words looked for. */
  empty: string
  emptyFor?: string
}>()
defineSlots<{ aside(): unknown; default(props: { rows: T[] }): unknown }>()
const route = useRoute()
const router = useRouter()
</script>

<template>
  <div class="grid gap-x-9 gap-y-6 px-4 py-7 lg:grid-cols-[190px_minmax(0,1fr)] lg:px-8">
    <div>
      <h1 class="text-[31px] font-bold">{{ title }}</h1>
      <slot name="aside" />
    </div>
    <div class="min-w-0">
      <Fault v-if="error" :error="error" :retry="retry" />
      <Waiting v-else-if="!list" :doing="waiting" />
      <p v-else-if="!list.rows.length" class="border-t border-ink pt-4">
        {{ route.query.q && emptyFor ? emptyFor : empty }}
      </p>
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

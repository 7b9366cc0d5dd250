<script setup lang="ts">
import { onMounted, shallowRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { asApiError, type ApiError } from '../../api/error'
import Fault from '../../parts/Fault.vue'
import Waiting from '../../parts/Waiting.vue'
import { connected } from '../../queries/sources'

/** Where a service sends its owner back to: what it sent along is handed in, and the source is read. */
const route = useRoute()
const router = useRouter()
const error = shallowRef<ApiError | null>(null)
const refused = route.query.error !== undefined

onMounted(async () => {
  if (refused) return
  try {
    const { id } = await connected({ state: String(route.query.state ?? ''), code: String(route.query.code ?? '') })
    await router.replace(`/sources/${id}`)
  } catch (e) {
    error.value = asApiError(e)
  }
})
</script>

<template>
  <div class="px-4 py-7 lg:px-8">
    <h1 class="text-[31px] font-bold">{{ refused ? 'It was not allowed' : 'Connecting' }}</h1>
    <p v-if="refused" class="mt-4 max-w-[56ch]">
      The owner did not let us read the account. Nothing has changed: what anyone may read is read as before.
    </p>
    <Fault v-else-if="error" :error="error" class="mt-4" />
    <Waiting v-else doing="Reading everything that the account may see" />
    <p v-if="refused || error" class="mt-4"><RouterLink to="/sources" class="word">All sources</RouterLink></p>
  </div>
</template>

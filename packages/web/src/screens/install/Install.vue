<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { ApiError } from '../../api/error'
import { asApiError } from '../../api/error'
import { onKey } from '../../keys/keys'
import Fault from '../../parts/Fault.vue'
import Pebble from '../../parts/Pebble.vue'
import Waiting from '../../parts/Waiting.vue'
import { useInstall } from '../../stores/install'
import TimeLine from './TimeLine.vue'
import WhatToPaste from './WhatToPaste.vue'
import WhatWeSaw from './WhatWeSaw.vue'
import WhereAndHow from './WhereAndHow.vue'

const props = defineProps<{ id: string }>()
const store = useInstall()
const router = useRouter()
const error = ref<ApiError | null>(null)
const install = computed(() => store.open)
const at = computed(() => store.walk.indexOf(props.id))

const load = () =>
  store.load(props.id).then(
    async () => {
      error.value = null
      document.title = `${install.value!.widget} on ${install.value!.site} · Pebblestrand`
      if (at.value < 0) await store.walkAlong({})
    },
    (e: unknown) => (error.value = asApiError(e)),
  )
watch(() => props.id, load, { immediate: true })

const step = (by: number) => {
  const next = store.walk[at.value + by]
  if (at.value >= 0 && next) void router.push(`/installs/${next}`)
}
onKey('[', () => step(-1))
onKey(']', () => step(1))
</script>

<template>
  <Fault v-if="error" :error="error" :retry="load" class="m-8" />
  <Waiting v-else-if="!install" doing="Fetching the install" class="px-8" />
  <div v-else class="px-4 py-6 lg:px-8">
    <div class="flex flex-wrap items-baseline gap-x-3 gap-y-1">
      <Pebble :status="install.status" :seed="install.id" :size="22" class="self-center" />
      <h1 class="text-[27px] font-bold">
        <RouterLink :to="`/widgets/${install.widgetId}`" class="text-ink no-underline hover:underline">{{
          install.widget
        }}</RouterLink>
      </h1>
      <p class="text-soft">
        on
        <RouterLink
          :to="`/sites/${install.siteId}?page=${install.pageId}`"
          class="text-soft underline underline-offset-3"
          >{{ install.site }}</RouterLink>, {{ install.page }}, {{ install.placement }}
      </p>
      <p v-if="at >= 0" class="ml-auto flex items-center gap-2 text-[13.5px] text-soft">
        install {{ at + 1 }} of {{ store.walk.length }}
        <button
          type="button"
          aria-label="Previous install"
          class="cursor-pointer"
          :disabled="at === 0"
          @click="step(-1)"
        >
          <kbd>[</kbd>
        </button>
        <button
          type="button"
          aria-label="Next install"
          class="cursor-pointer"
          :disabled="at === store.walk.length - 1"
          @click="step(1)"
        >
          <kbd>]</kbd>
        </button>
      </p>
    </div>
    <div class="mt-6 grid gap-x-[34px] gap-y-8 lg:grid-cols-2 xl:grid-cols-[390px_320px_minmax(0,1fr)]">
      <div class="min-w-0">
        <WhatToPaste :install="install" />
        <TimeLine :entries="install.timeLine" class="mt-8" />
      </div>
      <WhereAndHow :install="install" />
      <WhatWeSaw :install="install" class="min-w-0 lg:col-span-2 xl:col-span-1" />
    </div>
  </div>
</template>

<script setup lang="ts">
import { SITE_TAG } from '@pebblestrand/contract'
import { computed, watch } from 'vue'
import { useRouter } from 'vue-router'
import { onKey } from '../../keys/keys'
import Fault from '../../parts/Fault.vue'
import Pebble from '../../parts/Pebble.vue'
import { placeSaid } from '../../parts/place'
import Waiting from '../../parts/Waiting.vue'
import { followCheck, useInstall } from '../../queries/installs'
import { useChecks } from '../../stores/checks'
import { useWalk } from '../../stores/walk'
import FormTest from './FormTest.vue'
import HandedOver from './HandedOver.vue'
import TimeLine from './TimeLine.vue'
import WhatItShows from './WhatItShows.vue'
import WhatToPaste from './WhatToPaste.vue'
import WhatWeSaw from './WhatWeSaw.vue'
import WhereAndHow from './WhereAndHow.vue'

const props = defineProps<{ id: string }>()
const walk = useWalk()
const router = useRouter()
const { data: install, error, refetch } = useInstall(() => props.id)
const at = computed(() => walk.ids.indexOf(props.id))

watch(
  () => install.value?.id,
  (id) => {
    if (!id) return
    document.title = `${install.value!.widget} on ${install.value!.site} · Pebblestrand`
    if (at.value < 0) void walk.along({}).catch(() => {})
  },
  { immediate: true },
)
// A check that somebody began elsewhere is followed here as well.
const checks = useChecks()
watch(
  () => install.value?.running?.id,
  (checkId) => checkId && !checks.running[props.id] && void followCheck(checkId).catch(() => {}), // the next look says how it stands
  { immediate: true },
)

const step = (by: number) => {
  const next = walk.ids[at.value + by]
  if (at.value >= 0 && next) void router.push(`/installs/${next}`)
}
onKey('[', () => step(-1))
onKey(']', () => step(1))
</script>

<template>
  <Fault v-if="error" :error="error" :retry="refetch" class="m-8" />
  <Waiting v-else-if="!install" doing="Fetching the install" class="px-8" />
  <div v-else class="px-4 py-6 lg:px-8">
    <div class="flex flex-wrap items-baseline gap-x-3 gap-y-1">
      <Pebble :status="install.status" :seed="install.id" :size="22" class="self-center" />
      <h1 class="text-[27px] font-bold">
        <template v-if="install.kind === SITE_TAG">{{ install.widget }}</template>
        <RouterLink v-else :to="`/widgets/${install.widgetId}`" class="text-ink no-underline hover:underline">{{
          install.widget
        }}</RouterLink>
      </h1>
      <p class="text-soft">
        on
        <RouterLink
          :to="`/sites/${install.siteId}?page=${install.pageId}`"
          class="text-soft underline underline-offset-3"
          >{{ install.site }}</RouterLink>, {{ install.page }},
        {{ placeSaid(install) }}
      </p>
      <p v-if="at >= 0" class="ml-auto flex items-center gap-2 text-[13.5px] text-soft">
        install {{ at + 1 }} of {{ walk.ids.length }}
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
          :disabled="at === walk.ids.length - 1"
          @click="step(1)"
        >
          <kbd>]</kbd>
        </button>
      </p>
    </div>
    <div class="mt-6 grid gap-x-[34px] gap-y-8 lg:grid-cols-2 xl:grid-cols-[390px_320px_minmax(0,1fr)]">
      <div class="min-w-0">
        <WhatToPaste :install="install" />
        <HandedOver :install="install" class="mt-8" />
        <TimeLine :entries="install.timeLine" class="mt-8" />
      </div>
      <div class="min-w-0">
        <WhereAndHow :install="install" />
        <FormTest v-if="install.asks && install.status !== 'retired'" :install="install" class="mt-8" />
        <WhatItShows v-if="install.kind !== SITE_TAG" :install="install" class="mt-8" />
      </div>
      <WhatWeSaw :install="install" class="min-w-0 lg:col-span-2 xl:col-span-1" />
    </div>
  </div>
</template>

<script setup lang="ts">
import { ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { PlatformProfile } from '@pebblestrand/core/platforms/schema'
import { aboveFields, asApiError } from '../../api/error'
import { say, sayFault } from '../../frame/notices'
import Fault from '../../parts/Fault.vue'
import InputField from '../../parts/InputField.vue'
import { useSubmission } from '../../parts/submission'
import Waiting from '../../parts/Waiting.vue'
import { changePlatform, dropPlatform, platformFile, usePlatform } from '../../queries/platforms'
import BoxTable from './BoxTable.vue'
import CopyPlatform from './CopyPlatform.vue'
import SiteHabits from './SiteHabits.vue'
import StepList from './StepList.vue'

/** One profile: what its boxes do to what is pasted, its steps, its words. One's own can be changed here. */
const props = defineProps<{ id: string }>()
const router = useRouter()
const { data, error, refetch } = usePlatform(() => props.id)
const profile = ref<PlatformProfile | null>(null)
const isCopying = ref(false)
watch(
  () => data.value?.profile,
  (now) => {
    if (now) profile.value = structuredClone(JSON.parse(JSON.stringify(now)) as PlatformProfile)
    if (data.value) document.title = `${data.value.name} · Pebblestrand`
  },
  { immediate: true },
)
const words = { publish: 'To publish there', cache: 'To clear the cache', codeBox: 'The box that takes code' } as const
const {
  busy,
  error: fault,
  about,
  submit,
} = useSubmission(async () => {
  await changePlatform(props.id, { profile: profile.value! })
  say('Kept. What is pasted from now on follows it.')
})

async function drop(): Promise<void> {
  await dropPlatform(props.id)
    .then(() => router.push('/platforms'))
    .catch((e: unknown) => sayFault(asApiError(e)))
}
</script>

<template>
  <Fault v-if="error" :error="error" :retry="refetch" class="m-8" />
  <Waiting v-else-if="!data || !profile" doing="Fetching the platform" class="px-8" />
  <form v-else class="px-4 py-6 lg:px-8" novalidate @submit.prevent="submit">
    <p class="text-[14px]">
      <RouterLink to="/platforms" class="text-soft underline underline-offset-3">Platforms</RouterLink>
    </p>
    <div class="flex flex-wrap items-baseline gap-x-6 gap-y-1">
      <h1 class="text-[27px] font-bold">{{ data.name }}</h1>
      <p class="text-soft">
        <template v-if="data.own"
          >Your copy of {{ data.own.from
          }}<template v-if="data.own.site">, for {{ data.own.site }} alone</template>.</template
        >
        <template v-else>Ships with Pebblestrand and stays as it is.</template>
      </p>
      <p class="ml-auto flex gap-5">
        <button type="button" class="word" @click="isCopying = true">Copy it</button>
        <a class="word" :href="platformFile(id)" download>As a file</a>
        <button v-if="data.own" type="button" class="word plain" @click="drop">Drop it</button>
      </p>
    </div>
    <Fault v-if="fault" :error="aboveFields(fault)" class="mt-4" />
    <fieldset :disabled="!data.own" class="mt-5 min-w-0">
      <legend class="sr-only">The profile</legend>
      <InputField
        v-if="data.own"
        v-model="profile.name"
        label="What you call it"
        :fault="about('profile.name')"
        class="max-w-[420px]"
      />
      <h2 class="mt-2 text-[17px] font-semibold">What its boxes do to what is pasted</h2>
      <BoxTable v-model="profile" :about="about" :locked="!data.own" class="mt-2" />
      <div class="mt-7 grid gap-x-10 gap-y-6 lg:grid-cols-2">
        <StepList v-model="profile" :about="about" />
        <SiteHabits v-model="profile" :about="about" :locked="!data.own" />
        <section aria-labelledby="words">
          <h2 id="words" class="text-[17px] font-semibold">Its words in findings</h2>
          <InputField
            v-for="(label, key) in words"
            :key="key"
            v-model="profile.words[key]"
            :label="label"
            :fault="about(`profile.words.${key}`)"
            class="mt-3"
          />
        </section>
      </div>
    </fieldset>
    <button v-if="data.own" class="act mt-4" :disabled="busy">Keep these</button>
    <CopyPlatform v-if="isCopying" :from="data" @close="isCopying = false" />
  </form>
</template>

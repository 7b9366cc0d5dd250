<script setup lang="ts">
import { lookKinds } from '@pebblestrand/core/verify/words'
import { computed, ref } from 'vue'
import type { FindingInfo, InstallDetail } from '../../api/types'
import MuteFinding from './MuteFinding.vue'

const props = defineProps<{
  finding: FindingInfo
  steps: InstallDetail['steps']
  page: { siteId: string; pageId: string }
  installId: string
}>()
const muting = ref(false)
const day = (time: string) =>
  new Date(time).toLocaleDateString(undefined, { day: 'numeric', month: 'short', year: 'numeric' })
const emit = defineEmits<{ check: []; unmute: [] }>()

/** The step of this site's own list that mends it. */
const stepFor = { cache: 'cache', publish: 'publish', paste: 'paste', look: null } as const
const stepNumber = computed(() => {
  const id = stepFor[props.finding.nextAction]
  const index = id ? props.steps.findIndex((s) => s.id === id) : -1
  return index < 0 ? null : index + 1
})
const headers = computed(() => Object.entries(props.finding.proof.headers))
</script>

<template>
  <article class="pt-3">
    <h3
      class="font-sans text-[15px] leading-[1.5] font-bold tracking-normal"
      :class="finding.muted ? 'text-soft' : 'text-coral'"
    >
      {{ finding.title }}
    </h3>
    <p v-if="finding.muted" class="border-l-2 border-rule pl-3">
      Put away<template v-if="finding.muted.by"> by {{ finding.muted.by }}</template> until
      {{ day(finding.muted.until) }}: {{ finding.muted.reason }}
      <button type="button" class="word" @click="emit('unmute')">Let it count again</button>
    </p>
    <p>{{ finding.says }}</p>
    <p>
      <b>Do this:</b> {{ finding.remedy }}
      <template v-if="stepNumber"> That is step {{ stepNumber }}. Then </template>
      <template v-else-if="finding.code === 'moved'"
        ><RouterLink class="word" :to="`/sites/${page.siteId}?page=${page.pageId}`">Open the page plan</RouterLink>,
        then
      </template>
      <template v-else> Then </template>
      <button type="button" class="word" @click="emit('check')">check again</button>.
      <button
        v-if="!finding.muted && finding.code !== 'still-there'"
        type="button"
        class="word plain ml-2 text-[14px]"
        :aria-label="`Put it away: ${finding.title}`"
        @click="muting = true"
      >
        Put it away
      </button>
    </p>
    <MuteFinding v-if="muting" :install-id="installId" :finding="finding" @close="muting = false" />
    <details v-if="finding.proof.excerpts.length || headers.length" class="mt-2 text-[13.5px]">
      <summary class="cursor-pointer text-soft">Proof: the page {{ lookKinds[finding.proof.look].name }}</summary>
      <div
        v-for="(excerpt, index) in finding.proof.excerpts"
        :key="index"
        class="mt-2 flex gap-3 border border-rule bg-sheet px-3 py-2"
      >
        <span class="text-soft" :aria-label="`line ${excerpt.line}`">{{ excerpt.line }}</span>
        <pre class="min-w-0 text-[12.5px] leading-[1.5] break-all whitespace-pre-wrap">{{ excerpt.text }}</pre>
      </div>
      <dl v-if="headers.length" class="mt-2 font-mono text-[12.5px]">
        <div v-for="[name, value] in headers" :key="name" class="break-all">
          <dt class="mr-1 inline text-soft">{{ name }}:</dt>
          <dd class="inline">{{ value }}</dd>
        </div>
      </dl>
    </details>
  </article>
</template>

<script setup lang="ts">
import { lookKinds } from '@pebblestrand/core/verify/words'
import { computed } from 'vue'
import type { FindingInfo, InstallDetail } from '../../api/types'

const props = defineProps<{
  finding: FindingInfo
  steps: InstallDetail['steps']
  page: { siteId: string; pageId: string }
}>()
const emit = defineEmits<{ check: [] }>()

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
    <h3 class="font-sans text-[15px] leading-[1.5] font-bold tracking-normal text-coral">{{ finding.title }}</h3>
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
    </p>
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

<script setup lang="ts">
import { SITE_TAG } from '@pebblestrand/contract'
import { methodNames, type MethodId } from '@pebblestrand/core/methods/words'
import { computed, ref } from 'vue'
import { asApiError } from '../../api/error'
import type { InstallDetail } from '../../api/types'
import { say, sayFault } from '../../frame/notices'
import { copyText } from '../../parts/clipboard'
import { changeInstall } from '../../queries/installs'
import { pasteAnew } from './paste-anew'
import SnippetSetting from './SnippetSetting.vue'
import SnippetText from './SnippetText.vue'
import WhyNot from './WhyNot.vue'

const props = defineProps<{ install: InstallDetail }>()
const isAsking = ref(false)

const advised = computed(() => [props.install.advice.best, ...props.install.advice.others])
const chosen = computed(() => advised.value.find(({ method }) => method === props.install.method)!)
const others = computed(() => advised.value.filter(({ method }) => method !== props.install.method))
const snippet = computed(() => props.install.snippets[props.install.method] ?? '')
const isTag = computed(() => props.install.kind === SITE_TAG)
/** The site's tag brings it: nothing is pasted for it. */
const isBrought = computed(() => props.install.method === 'tag' && !isTag.value)

const copy = () =>
  copyText(
    snippet.value,
    'The snippet is on the clipboard.',
    props.install.status === 'planned' ? 'Mark it as pasted once it is there.' : '',
  )

function download(): void {
  const url = URL.createObjectURL(new Blob([snippet.value], { type: 'text/html' }))
  const link = Object.assign(document.createElement('a'), {
    href: url,
    download: `${props.install.widget.toLowerCase().replace(/\W+/g, '-')}.html`,
  })
  link.click()
  URL.revokeObjectURL(url)
}

/** The install stays; what stands on the page is to be exchanged. */
async function take(method: MethodId): Promise<void> {
  const { id, method: before, status } = props.install
  await changeInstall(id, { method }).then(
    () => say(pasteAnew(before, method, status)),
    (e: unknown) => sayFault(asApiError(e)),
  )
}
</script>

<template>
  <section aria-labelledby="what">
    <h2 id="what" class="text-[17px] font-semibold">What to paste</h2>
    <p v-if="isTag" class="mt-2 text-[14px] leading-[1.45]">
      As <b>site tag</b>: once in the head of every page, it brings what is planned there by the tag. It needs no other
      snippet.
    </p>
    <template v-else>
      <p class="mt-2 text-[14px] leading-[1.45]">
        As <b>{{ methodNames[install.method].name }}</b><template v-if="chosen.box && !isBrought"
          >, into the {{ chosen.box.name }}</template
        >: {{ chosen.why }}.
        <button type="button" class="word text-[14px]" :aria-expanded="isAsking" @click="isAsking = !isAsking">
          {{ isAsking ? 'Not now' : 'Why not another way?' }}
        </button>
      </p>
      <p v-if="install.advice.ask" class="mt-2 border-l-4 border-ochre pl-3 text-[14px]">{{ install.advice.ask }}</p>
      <WhyNot v-if="isAsking" :advices="others" class="mt-2" @take="take" />
    </template>
    <p v-if="install.ruleOneDay" class="mt-2 border-l-4 border-rule pl-3 text-[14px]">
      The site tries out a stricter content security policy, which stops nothing yet. Once it counts, it has to say
      <span class="font-mono text-[13px] break-words">{{ install.ruleOneDay }}</span>
    </p>
    <p v-if="install.permission" class="mt-2 border-l-4 border-rule pl-3 text-[14px]">
      For its films to fill the screen, the site’s permissions policy has to say
      <span class="font-mono text-[13px] break-words">{{ install.permission }}</span>
    </p>
    <p v-if="isBrought" class="mt-3 text-[14px]" :class="install.siteTag?.status === 'confirmed' && 'text-soft'">
      Nothing has to be pasted for it.
      <template v-if="!install.siteTag"
        >But this site has no tag any more:
        <RouterLink :to="`/sites/${install.siteId}`" class="word text-[14px]">plan the site tag</RouterLink> again, or
        take another way.</template
      ><template v-else-if="install.siteTag.status !== 'confirmed'"
        >But the tag that brings it has not been seen on its pages yet:
        <RouterLink :to="`/installs/${install.siteTag.id}`" class="word text-[14px]">paste the site tag</RouterLink>
        once.</template
      >
    </p>
    <template v-else>
      <SnippetText :text="snippet" class="mt-3" />
      <SnippetSetting :install="install" class="mt-2" />
      <div class="mt-3 flex items-center gap-4">
        <button type="button" class="act" @click="copy">Copy snippet</button>
        <button type="button" class="word" @click="download">Download</button>
      </div>
    </template>
  </section>
</template>

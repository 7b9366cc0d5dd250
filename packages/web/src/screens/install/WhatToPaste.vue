<script setup lang="ts">
import { methods, type MethodId } from '@pebblestrand/core/methods'
import { computed, ref } from 'vue'
import { asApiError } from '../../api/error'
import type { InstallDetail } from '../../api/types'
import { sayFault } from '../../frame/notices'
import { copyText } from '../../parts/clipboard'
import { changeInstall } from '../../queries/installs'
import SnippetText from './SnippetText.vue'

const props = defineProps<{ install: InstallDetail }>()
const why = ref(false)

const chosen = computed(() =>
  [props.install.advice.best, ...props.install.advice.others].find((a) => a.method === props.install.method)!,
)
const others = computed(() =>
  [props.install.advice.best, ...props.install.advice.others].filter((a) => a.method !== props.install.method),
)
const isPinned = ref(false)
/** Only where the method loads the script. */
const canPin = computed(
  () => props.install.pinned[props.install.method] !== props.install.snippets[props.install.method],
)
const snippet = computed(
  () => props.install[isPinned.value && canPin.value ? 'pinned' : 'snippets'][props.install.method] ?? '',
)

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

const take = (method: MethodId) =>
  changeInstall(props.install.id, { method }).catch((e: unknown) => sayFault(asApiError(e)))
</script>

<template>
  <section aria-labelledby="what">
    <h2 id="what" class="text-[17px] font-semibold">What to paste</h2>
    <p class="mt-2 text-[14px] leading-[1.45]">
      As <b>{{ methods[install.method].name }}</b>: {{ chosen.why }}.
      <button
        v-for="other in others"
        :key="other.method"
        type="button"
        class="word text-[14px]"
        :aria-expanded="why"
        @click="why = !why"
      >
        Why not a{{ other.method === 'inline' ? 'n element and script' : ` ${methods[other.method].name}` }}?
      </button>
    </p>
    <div v-if="why" class="mt-2 border-l-2 border-rule pl-3 text-[14px] text-soft">
      <p v-for="other in others" :key="other.method">
        {{ other.why.replace(/^./, (c) => c.toUpperCase()) }}.
        <button v-if="other.box" type="button" class="word text-[14px]" @click="take(other.method)">
          Take the {{ methods[other.method].name }}
        </button>
      </p>
    </div>
    <SnippetText :text="snippet" class="mt-3" />
    <label v-if="canPin" class="mt-2 flex items-baseline gap-2 text-[14px] text-soft">
      <input v-model="isPinned" type="checkbox" class="accent-kelp" />
      <span
        >With one version of the script and its integrity value, for sites that ask for it. It stays as it is until you
        paste a newer one.</span
      >
    </label>
    <div class="mt-3 flex items-center gap-4">
      <button type="button" class="act" @click="copy">Copy snippet</button>
      <button type="button" class="word" @click="download">Download</button>
    </div>
  </section>
</template>

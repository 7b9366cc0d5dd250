<script setup lang="ts">
import { computed, ref } from 'vue'
import { asApiError } from '../../api/error'
import type { WaitingInstall } from '../../api/types'
import { sayFault } from '../../frame/notices'
import { copyText } from '../../parts/clipboard'
import { placeSaid } from '../../parts/place'
import Pebble from '../../parts/Pebble.vue'
import { checkInstall, readInstall } from '../../queries/installs'
import { isBrought, type ActionGroupId } from './groups'

/** One install that waits, as a sentence with one action. */
const props = defineProps<{ install: WaitingInstall; group: ActionGroupId }>()
const busy = ref(false)

const action = computed(() => {
  if (props.group === 'paste' && props.install.status !== 'needs-a-hand') return { does: 'Copy snippet', run: copy }
  if (props.group === 'check' || props.group === 'publish')
    return { does: props.group === 'check' ? 'Check now' : 'Check again', run: check }
  return null
})

async function copy(): Promise<void> {
  const install = await readInstall(props.install.id)
  await copyText(install.snippets[install.method] ?? '', `The snippet of ${props.install.widget} is on the clipboard.`)
}

const check = () => checkInstall(props.install.id)

async function act(): Promise<void> {
  busy.value = true
  await action.value?.run().catch((error: unknown) => sayFault(asApiError(error)))
  busy.value = false
}
</script>

<template>
  <li class="flex gap-4 py-[9px]" data-thing>
    <Pebble :status="install.status" :seed="install.id" class="mt-1" />
    <p class="min-w-0 flex-1">
      <RouterLink :to="`/installs/${install.id}`" class="font-bold text-ink no-underline hover:underline">{{
        install.widget
      }}</RouterLink>
      on
      <RouterLink :to="`/sites/${install.siteId}`" class="font-bold text-ink no-underline hover:underline">{{
        install.site
      }}</RouterLink>, {{ install.page }}, {{ placeSaid(install)
      }}<template v-if="install.title"
        >: {{ install.title.replace(/^./, (c) => c.toLowerCase()) }}
        <span class="text-soft">{{ install.says }}</span></template
      ><template v-else-if="isBrought(install)">: the site tag brings it.</template
      ><template v-else-if="install.status === 'pasted'">: pasted, and not looked at since.</template
      ><template v-else>.</template>
    </p>
    <button
      v-if="action"
      type="button"
      data-actions
      class="word self-start whitespace-nowrap"
      :disabled="busy"
      @click="act"
    >
      {{ busy ? 'One moment …' : action.does }}
    </button>
    <RouterLink v-else data-actions :to="`/installs/${install.id}`" class="word self-start whitespace-nowrap">{{
      group === 'cache' ? 'How, on this site' : 'What to do'
    }}</RouterLink>
  </li>
</template>

<script setup lang="ts">
import { computed, ref } from 'vue'
import { get, post } from '../../api/call'
import { asApiError } from '../../api/error'
import type { InstallDetail, WaitingThing } from '../../api/types'
import { sayFault } from '../../frame/notices'
import { copyText } from '../../parts/clipboard'
import Pebble from '../../parts/Pebble.vue'
import { useChecks } from '../../stores/checks'
import type { HandsId } from './groups'

/** One thing that waits, as a sentence with one action. */
const props = defineProps<{ thing: WaitingThing; hands: HandsId }>()
const emit = defineEmits<{ changed: [] }>()
const checks = useChecks()
const busy = ref(false)

const action = computed(() => {
  if (props.hands === 'paste' && props.thing.status !== 'needs-a-hand') return { does: 'Copy snippet', run: copy }
  if (props.hands === 'check' || props.hands === 'publish')
    return { does: props.hands === 'check' ? 'Check now' : 'Check again', run: check }
  return null
})

async function copy(): Promise<void> {
  const install = await get<InstallDetail>(`/api/installs/${props.thing.id}`)
  await copyText(install.snippets[install.method], `The snippet of ${props.thing.widget} is on the clipboard.`)
}

async function check(): Promise<void> {
  const { checkId } = await post<{ checkId: string }>(`/api/installs/${props.thing.id}/checks`)
  await checks.follow(checkId)
  emit('changed')
}

async function act(): Promise<void> {
  busy.value = true
  await action.value?.run().catch((error: unknown) => sayFault(asApiError(error)))
  busy.value = false
}
</script>

<template>
  <li class="flex gap-4 py-[9px]" data-thing>
    <Pebble :status="thing.status" :seed="thing.id" class="mt-1" />
    <p class="min-w-0 flex-1">
      <RouterLink :to="`/installs/${thing.id}`" class="font-bold text-ink no-underline hover:underline">{{
        thing.widget
      }}</RouterLink>
      on
      <RouterLink :to="`/sites/${thing.siteId}`" class="font-bold text-ink no-underline hover:underline">{{
        thing.site
      }}</RouterLink>, {{ thing.page }}, {{ thing.placement
      }}<template v-if="thing.title"
        >: {{ thing.title.replace(/^./, (c) => c.toLowerCase()) }}
        <span class="text-soft">{{ thing.says }}</span></template
      ><template v-else-if="thing.status === 'pasted'">: pasted, and not looked at since.</template
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
    <RouterLink v-else data-actions :to="`/installs/${thing.id}`" class="word self-start whitespace-nowrap">{{
      hands === 'cache' ? 'How, on this site' : 'What to do'
    }}</RouterLink>
  </li>
</template>

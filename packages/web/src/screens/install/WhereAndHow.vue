<script setup lang="ts">
import { computed } from 'vue'
import { asApiError } from '../../api/error'
import type { InstallDetail } from '../../api/types'
import { say, sayFault } from '../../frame/notices'
import { maySayPasted } from '../../parts/may-say-pasted'
import { changeInstall, markPasted, unmarkPasted } from '../../queries/installs'

const props = defineProps<{ install: InstallDetail }>()

const mayPaste = computed(() => maySayPasted(props.install))
const attempt = (action: Promise<unknown>) => action.catch((e: unknown) => sayFault(asApiError(e)))

function tick(id: string, done: boolean): void {
  const rest = props.install.stepsDone.filter((s) => s !== id)
  void attempt(changeInstall(props.install.id, { stepsDone: done ? [...rest, id] : rest }))
}
async function pasted(): Promise<void> {
  await attempt(
    markPasted(props.install.id).then(() =>
      say('Marked as pasted.', { undo: () => void attempt(unmarkPasted(props.install.id)) }),
    ),
  )
}
</script>

<template>
  <section aria-labelledby="how">
    <h2 id="how" class="text-[17px] font-semibold">Where and how</h2>
    <p class="mt-2 text-[13.5px] text-soft">{{ install.platform }}, in this site’s own words</p>
    <ol class="ledger mt-2 border-y border-rule">
      <li v-for="step in install.steps" :key="step.id">
        <label class="flex cursor-pointer gap-4 py-[9px]">
          <input
            type="checkbox"
            class="peer mt-[3px] size-[15px] shrink-0 appearance-none border border-ink bg-transparent checked:border-kelp checked:bg-kelp"
            :checked="install.stepsDone.includes(step.id)"
            @change="tick(step.id, ($event.target as HTMLInputElement).checked)"
          />
          <span class="peer-checked:text-soft"
            ><component :is="part.strong ? 'b' : 'span'" v-for="(part, index) in step.parts" :key="index">{{
              part.text
            }}</component></span
          >
        </label>
      </li>
    </ol>
    <p v-if="install.pasteNotes" class="mt-3 border-l-2 border-rule pl-3 text-[14px] whitespace-pre-line">
      {{ install.pasteNotes }}
    </p>
    <p class="mt-3 flex flex-wrap gap-x-5 gap-y-1">
      <button v-if="mayPaste" type="button" class="word" @click="pasted">Mark as pasted</button>
      <a class="word" :href="install.url" target="_blank" rel="noopener">Open the page</a>
      <RouterLink class="word" :to="`/sites/${install.siteId}?page=${install.pageId}`">Page plan</RouterLink>
    </p>
  </section>
</template>

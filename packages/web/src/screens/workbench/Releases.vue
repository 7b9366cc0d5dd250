<script setup lang="ts">
import { asApiError } from '../../api/error'
import { say, sayFault } from '../../frame/notices'
import Panel from '../../parts/Panel.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import { plain } from '../../stores/plain'
import { useWorkbench } from '../../stores/workbench'

const emit = defineEmits<{ close: [] }>()
const bench = useWorkbench()

function look(number: number): void {
  bench.lookingAt = number
  emit('close')
}
async function bringBack(number: number): Promise<void> {
  const before = plain(bench.settings)
  try {
    await bench.restore(number)
    say(`Release ${number} is the draft now.`, {
      remedy: 'Publish it to bring it to the sites.',
      undo: () => bench.replaceAll(before),
    })
    emit('close')
  } catch (e) {
    sayFault(asApiError(e))
  }
}
</script>

<template>
  <Panel :open="true" title="Releases" @close="emit('close')">
    <p v-if="!bench.widget?.releases.length">There is none yet.</p>
    <ul class="ledger border-t border-rule">
      <li v-for="release in bench.widget?.releases" :key="release.number" class="flex items-baseline gap-4 py-2">
        <b>Release {{ release.number }}</b>
        <span class="text-[13.5px] text-soft"
          ><TimeAgo :at="release.publishedAt" /><template v-if="release.by">, {{ release.by }}</template></span
        >
        <button
          type="button"
          class="word ml-auto"
          :aria-label="`Look at release ${release.number}`"
          @click="look(release.number)"
        >
          Look at
        </button>
        <button
          type="button"
          class="word"
          :aria-label="`Bring back release ${release.number}`"
          @click="bringBack(release.number)"
        >
          Bring back
        </button>
      </li>
    </ul>
  </Panel>
</template>

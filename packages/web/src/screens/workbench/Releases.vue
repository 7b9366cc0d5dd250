<script setup lang="ts">
import { routes } from '@pebblestrand/contract'
import { ref } from 'vue'
import { ask } from '../../api/call'
import { asApiError } from '../../api/error'
import { say, sayFault } from '../../frame/notices'
import Panel from '../../parts/Panel.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import { useWorkbench } from '../../stores/workbench'

const emit = defineEmits<{ close: []; compare: [release: number] }>()
const bench = useWorkbench()
/** The release whose note is being written, and the note. */
const noting = ref<{ number: number; words: string } | null>(null)

function look(number: number): void {
  bench.lookingAt = number
  emit('close')
}
async function bringBack(number: number): Promise<void> {
  try {
    await bench.restore(number)
    say(`Release ${number} is the draft now.`, { remedy: 'Publish it to bring it to the sites.', undo: bench.undo })
    emit('close')
  } catch (e) {
    sayFault(asApiError(e))
  }
}
async function keepNote(): Promise<void> {
  const { number, words } = noting.value!
  try {
    await ask(routes.widgets.noteRelease, {
      params: { id: bench.widget!.id, number: String(number) as never },
      body: { note: words },
    })
    bench.widget!.releases.find((release) => release.number === number)!.note = words.trim()
    noting.value = null
  } catch (e) {
    sayFault(asApiError(e))
  }
}
</script>

<template>
  <Panel :open="true" title="Releases" wide @close="emit('close')">
    <p v-if="!bench.widget?.releases.length">There is none yet.</p>
    <ul class="ledger border-t border-rule">
      <li v-for="release in bench.widget?.releases" :key="release.number" class="py-2">
        <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <b>Release {{ release.number }}</b>
          <span class="text-[13.5px] text-soft"
            ><TimeAgo :at="release.publishedAt" /><template v-if="release.by">, {{ release.by }}</template></span
          >
          <span class="ml-auto flex flex-wrap gap-x-4">
            <button
              type="button"
              class="word"
              :aria-label="`Look at release ${release.number}`"
              @click="look(release.number)"
            >
              Look at
            </button>
            <button
              type="button"
              class="word"
              :aria-label="`Compare release ${release.number}`"
              @click="emit('compare', release.number)"
            >
              Compare
            </button>
            <button
              type="button"
              class="word"
              :aria-label="`Bring back release ${release.number}`"
              @click="bringBack(release.number)"
            >
              Bring back
            </button>
          </span>
        </div>
        <form
          v-if="noting?.number === release.number"
          class="mt-1 flex items-baseline gap-3"
          @submit.prevent="keepNote"
        >
          <input
            v-model="noting.words"
            class="field"
            maxlength="300"
            :aria-label="`Note of release ${release.number}`"
          />
          <button class="word">Keep</button>
          <button type="button" class="word plain" @click="noting = null">Leave</button>
        </form>
        <p v-else class="text-[14px]">
          <span v-if="release.note" class="italic">{{ release.note }} </span>
          <button
            type="button"
            class="word plain text-[13.5px]"
            :aria-label="`${release.note ? 'change' : 'put a note with it'}: release ${release.number}`"
            @click="noting = { number: release.number, words: release.note }"
          >
            {{ release.note ? 'change' : 'put a note with it' }}
          </button>
        </p>
      </li>
    </ul>
  </Panel>
</template>

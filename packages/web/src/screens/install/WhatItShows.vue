<script setup lang="ts">
import { computed, ref } from 'vue'
import { asApiError } from '../../api/error'
import type { InstallDetail } from '../../api/types'
import { say, sayFault } from '../../frame/notices'
import { dropSwap, holdInstall, swapInstall } from '../../queries/installs'
import SwapWidget from './SwapWidget.vue'
import { timeThere } from './times'

/** Which widget and which release visitors see, and what can be done about both without touching the client's page. */
const props = defineProps<{ install: InstallDetail }>()
const swapping = ref<'now' | 'planned' | null>(null)

const attempt = (action: Promise<unknown>) => action.catch((e: unknown) => sayFault(asApiError(e)))
const isLiving = computed(() => props.install.status !== 'retired' && !props.install.retiring)
const isBehind = computed(
  () =>
    props.install.held && props.install.newestRelease !== null && props.install.release! < props.install.newestRelease,
)
const states = { planned: 'from', on: 'since', failed: 'was to begin', over: 'over' }

async function hold(release: number | null): Promise<void> {
  const before = props.install.held ? props.install.release : null
  await attempt(
    holdInstall(props.install.id, release).then(() =>
      say(release === null ? 'It follows the newest release.' : `It stays at release ${release}.`, {
        undo: () => void attempt(holdInstall(props.install.id, before)),
      }),
    ),
  )
}
function choose(event: Event): void {
  const value = (event.target as HTMLSelectElement).value
  void hold(value ? Number(value) : null)
}
const swapBack = (id: string) =>
  attempt(swapInstall(props.install.id, id).then(() => say('Swapped back. The client’s page was not touched.')))
</script>

<template>
  <section aria-labelledby="shows">
    <h2 id="shows" class="text-[17px] font-semibold">What it shows</h2>
    <p class="mt-2 text-[14px] leading-[1.5]">
      <b>{{ install.widget }}</b>, <template v-if="install.release === null">no release yet</template
      ><template v-else-if="install.held"
        >held at <b>release {{ install.release }}</b
        ><template v-if="isBehind">; the newest is {{ install.newestRelease }}</template></template
      ><template v-else>release {{ install.release }}, following the newest</template>.
    </p>
    <template v-if="isLiving && install.releases.length">
      <label class="mt-2 flex items-baseline gap-2 text-[14px]"
        ><span class="text-soft">Shows</span>
        <select class="field w-auto" :value="install.held ? install.release : ''" @change="choose">
          <option value="">the newest release, always</option>
          <option v-for="release in install.releases" :key="release.number" :value="release.number">
            release {{ release.number }}{{ release.note ? `: ${release.note.slice(0, 40)}` : '' }}
          </option>
        </select></label
      >
      <p v-if="isBehind" class="mt-2">
        <button type="button" class="word" @click="hold(null)">Take release {{ install.newestRelease }}</button>
      </p>
    </template>
    <p v-if="isLiving" class="mt-2 flex flex-wrap gap-x-5 gap-y-1">
      <button type="button" class="word" @click="swapping = 'now'">Swap the widget</button>
      <button type="button" class="word" @click="swapping = 'planned'">Plan a swap</button>
      <button v-if="install.swappedFrom" type="button" class="word plain" @click="swapBack(install.swappedFrom.id)">
        Back to {{ install.swappedFrom.name }}
      </button>
    </p>
    <ul
      v-if="install.plannedSwaps.length"
      class="ledger mt-3 border-t border-rule text-[14px]"
      aria-label="Planned swaps"
    >
      <li v-for="swap in install.plannedSwaps" :key="swap.id" class="py-2">
        <b>{{ swap.widget }}</b>, {{ states[swap.state] }} {{ timeThere(swap.from, install.timeZone)
        }}<template v-if="swap.until"> until {{ timeThere(swap.until, install.timeZone) }}</template
        >.
        <span v-if="swap.problem" class="text-coral">{{ swap.problem }}</span>
        <button
          type="button"
          class="word plain"
          :aria-label="`${swap.state === 'on' ? 'Let it stay' : 'Drop'}: ${swap.widget}`"
          @click="attempt(dropSwap(install.id, swap.id))"
        >
          {{ swap.state === 'on' ? 'Let it stay' : 'Drop' }}
        </button>
      </li>
    </ul>
    <SwapWidget v-if="swapping" :install="install" :when="swapping" @close="swapping = null" />
  </section>
</template>

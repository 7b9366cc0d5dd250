<script setup lang="ts">
import { computed, ref } from 'vue'
import { asApiError } from '../../api/error'
import type { SourceDetail } from '../../api/types'
import { sayFault } from '../../frame/notices'
import { changeSource, connect, readNow } from '../../queries/sources'
import { healthOf, sortOf } from './health'

/** What can be done with a source: read it now, pause it, connect it with the account of its owner. */
const props = defineProps<{ source: SourceDetail }>()
/** Two sources may have one name, at two services. */
const named = computed(() => `${props.source.title}, ${sortOf(props.source)}`)
const busy = ref(false)
const progress = ref('')

async function during(work: () => Promise<unknown>): Promise<void> {
  busy.value = true
  progress.value = ''
  try {
    await work()
  } catch (error) {
    sayFault(asApiError(error))
  } finally {
    busy.value = false
  }
}
const read = () =>
  during(() => readNow(props.source.id, (step) => (progress.value = `${step.read} of ${step.of} read`)))
</script>

<template>
  <p class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
    <template v-if="!source.keptHere">
      <button
        type="button"
        class="word"
        :disabled="busy"
        :aria-label="busy ? undefined : `Read it now: ${named}`"
        @click="read"
      >
        {{ busy ? progress || 'One moment …' : 'Read it now' }}
      </button>
      <button
        v-if="healthOf(source) === 'reconnect'"
        type="button"
        class="word"
        :disabled="busy"
        :aria-label="`Connect it again: ${named}`"
        @click="during(() => connect(source.id))"
      >
        Connect it again
      </button>
      <button
        v-else-if="source.connects && !source.account"
        type="button"
        class="word"
        :disabled="busy"
        :aria-label="`Connect its owner’s account: ${named}`"
        @click="during(() => connect(source.id))"
      >
        Connect its owner’s account
      </button>
      <button
        type="button"
        class="word plain"
        :disabled="busy"
        :aria-label="`${source.paused ? 'Go on' : 'Pause'}: ${named}`"
        @click="during(() => changeSource(source.id, { paused: !source.paused }))"
      >
        {{ source.paused ? 'Go on' : 'Pause' }}
      </button>
    </template>
    <slot />
  </p>
</template>

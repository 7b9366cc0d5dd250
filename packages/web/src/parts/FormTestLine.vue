<script setup lang="ts">
import { testStages } from '@pebblestrand/contract'
import { computed, ref } from 'vue'
import { asApiError, type ApiError } from '../api/error'
import { sendTest, type FormTest } from '../queries/forms'
import { useSession } from '../stores/session'
import Fault from './Fault.vue'
import TimeAgo from './TimeAgo.vue'

/** Sends a test through a form and says, step by step, how far it came. */
const props = defineProps<{ widgetId: string; installId?: string | null; last?: FormTest | null; filled?: boolean }>()
const session = useSession()
const own = ref<FormTest | null>(null)
const error = ref<ApiError | null>(null)
const busy = ref(false)
const shown = computed(() => own.value ?? props.last ?? null)

async function send(): Promise<void> {
  busy.value = true
  error.value = null
  try {
    await sendTest(props.widgetId, props.installId ?? null, (test) => (own.value = test))
  } catch (e) {
    error.value = asApiError(e)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div>
    <Fault v-if="error" :error="error" class="mb-3" />
    <p class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <button type="button" :class="filled ? 'act' : 'word'" :disabled="busy" @click="send">
        {{ busy ? 'Sending a test …' : 'Send a test' }}
      </button>
      <span class="text-[13.5px] text-soft">Its mails go to {{ session.person?.email }}. It is counted nowhere.</span>
    </p>
    <div v-if="shown" class="mt-2" role="status">
      <p v-if="shown.state !== 'running'" class="text-[14px]">
        <b :class="shown.state === 'well' ? 'text-kelp' : 'text-coral'">{{
          shown.state === 'well' ? 'It went the whole way' : 'It stopped on its way'
        }}</b>
        <span class="text-soft">, <TimeAgo :at="shown.endedAt ?? shown.beganAt" /></span>
      </p>
      <ol class="mt-1 text-[14px]">
        <li v-for="step in shown.steps" :key="step.stage" class="flex gap-2 py-[2px]">
          <span aria-hidden="true" :class="step.well ? 'text-kelp' : 'text-coral'">{{ step.well ? '✓' : '×' }}</span>
          <span class="min-w-0 break-words"
            ><span class="sr-only">{{ step.well ? 'well: ' : 'stopped: ' }}</span
            >{{ testStages[step.stage] }}<span class="text-soft">. {{ step.says }}</span></span
          >
        </li>
      </ol>
    </div>
  </div>
</template>

<script setup lang="ts">
import { deliveryKinds, heldReasons, leadStates } from '@pebblestrand/contract'
import { computed, watch } from 'vue'
import Fault from '../../parts/Fault.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import Waiting from '../../parts/Waiting.vue'
import { useLead } from '../../queries/forms'
import LeadActions from './LeadActions.vue'

/** One answer, whole: what was written, what was agreed to, where it came from, and what was done with it. */
const props = defineProps<{ id: string }>()
const { data: lead, error, refetch } = useLead(() => props.id)
watch(lead, (now) => now && (document.title = `An answer to ${now.widget} · Pebblestrand`), { immediate: true })
const states = {
  waiting: 'waits',
  unconfirmed: 'waits until the address is confirmed',
  limited: 'will be sent in the next hour',
  queued: 'on its way',
  sent: 'done',
  failed: 'could not be done',
}
const at = computed(() =>
  lead.value
    ? new Intl.DateTimeFormat('en-GB', { dateStyle: 'full', timeStyle: 'short', timeZone: lead.value.timeZone }).format(
        new Date(lead.value.at),
      )
    : '',
)
</script>

<template>
  <Fault v-if="error" :error="error" :retry="refetch" class="m-8" />
  <Waiting v-else-if="!lead" doing="Fetching the answer" class="px-8" />
  <div
    v-else
    class="grid gap-x-9 gap-y-6 px-4 py-7 lg:grid-cols-[190px_minmax(0,1fr)] lg:px-8 xl:grid-cols-[190px_minmax(0,1fr)_300px]"
  >
    <div>
      <h1 class="text-[23px] leading-tight font-bold">An answer to {{ lead.widget }}</h1>
      <p class="mt-2 text-soft">
        <span class="capitalize">{{ leadStates[lead.state] }}</span><template v-if="lead.isTest">, a test</template>,
        <TimeAgo :at="lead.at" />
      </p>
      <p v-if="lead.heldFor" class="mt-2 text-ochre">{{ heldReasons[lead.heldFor] }}</p>
      <LeadActions :lead="lead" class="mt-3" />
      <p class="mt-5">
        <RouterLink :to="`/results/leads?widgetId=${lead.widgetId}`" class="word plain">All its answers</RouterLink>
      </p>
    </div>
    <div class="min-w-0 max-w-[720px]">
      <dl class="ledger border-t border-ink">
        <div v-for="(one, i) in lead.says" :key="i" class="grid gap-x-6 py-[10px] sm:grid-cols-[190px_minmax(0,1fr)]">
          <dt class="text-[14px] text-soft">{{ one.label }}</dt>
          <dd class="break-words whitespace-pre-line" dir="auto">{{ one.says }}</dd>
        </div>
      </dl>
      <section v-if="lead.confirmation?.confirmedAt" class="mt-6" aria-labelledby="confirmed">
        <h2 id="confirmed" class="text-[16px] font-semibold">Address confirmed</h2>
        <blockquote class="mt-2 border-l-4 border-rule py-1 pl-4">
          <p class="font-semibold">{{ lead.confirmation.subject }}</p>
          <p class="whitespace-pre-line">{{ lead.confirmation.text }}</p>
          <p class="text-[13.5px] text-soft">
            Sent {{ new Date(lead.confirmation.sentAt).toLocaleString() }}, confirmed
            {{ new Date(lead.confirmation.confirmedAt).toLocaleString() }}.
          </p>
        </blockquote>
      </section>
      <section v-if="lead.consents.length" class="mt-6" aria-labelledby="agreed">
        <h2 id="agreed" class="text-[16px] font-semibold">What was agreed to</h2>
        <blockquote v-for="consent in lead.consents" :key="consent.field" class="mt-2 border-l-4 border-rule py-1 pl-4">
          <p>{{ consent.words }}</p>
          <p v-if="consent.help" class="text-[13.5px]">{{ consent.help }}</p>
          <p class="text-[13.5px] text-soft">
            In these words of release {{ consent.release }}, at {{ new Date(consent.at).toLocaleString()
            }}<template v-if="consent.link">; the full text: {{ consent.link }}</template
            >.
          </p>
        </blockquote>
      </section>
    </div>
    <aside class="min-w-0 text-[14px] xl:border-l xl:border-rule xl:pl-[22px]">
      <h2 class="label font-sans tracking-normal">Where it came from</h2>
      <p class="mt-1">{{ at }}, there.</p>
      <p v-if="lead.site" class="break-words">
        <RouterLink
          v-if="lead.installId"
          :to="`/installs/${lead.installId}`"
          class="text-ink underline underline-offset-3"
          >{{ lead.site }}, {{ lead.path || 'a page' }}</RouterLink
        >
        <template v-else>{{ lead.site }}, {{ lead.path }}</template>
      </p>
      <p v-if="lead.from" class="text-soft">Came there from {{ lead.from }}.</p>
      <p class="text-soft">Release {{ lead.release }}, asked in {{ lead.language }}.</p>
      <template v-if="lead.deliveries.length">
        <h2 class="label mt-5 font-sans tracking-normal">What was done with it</h2>
        <ul class="mt-1">
          <li v-for="one in lead.deliveries" :key="one.what" class="py-[2px]">
            {{ deliveryKinds[one.what] }}:
            <b :class="one.state === 'failed' ? 'text-coral' : one.state === 'sent' ? 'text-kelp' : 'text-tide'">{{
              states[one.state]
            }}</b>
            <span v-if="one.problem" class="block text-soft">{{ one.problem }}</span>
          </li>
        </ul>
        <p v-if="lead.coupon" class="mt-1">
          Code: <code class="font-mono">{{ lead.coupon }}</code>
        </p>
      </template>
    </aside>
  </div>
</template>

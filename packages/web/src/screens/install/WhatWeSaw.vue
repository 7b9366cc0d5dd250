<script setup lang="ts">
import { age, statuses } from '@pebblestrand/core/verify'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { asApiError } from '../../api/error'
import type { InstallDetail } from '../../api/types'
import { sayFault } from '../../frame/notices'
import { shortAddress } from '../../parts/address'
import RemoveIt from '../../parts/RemoveIt.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import { checkWords, useChecks } from '../../stores/checks'
import { useInstall } from '../../stores/install'
import FindingNote from './FindingNote.vue'

const props = defineProps<{ install: InstallDetail }>()
const store = useInstall()
const router = useRouter()
const checks = useChecks()

const running = computed(() => checks.running[props.install.id] ?? null)
const check = computed(() => props.install.check)
/** What a first look found before anything was pasted is no fault. */
const waiting = computed(() => props.install.status === 'planned' || props.install.status === 'handed-over')
const faults = computed(() => (waiting.value ? [] : (check.value?.findings ?? [])))
const stale = computed(() => props.install.status === 'pasted')
const headline = computed(() => {
  if (!check.value) return { text: 'Not looked at yet.', tone: 'text-soft' }
  if (props.install.status === 'retired') return { text: 'Gone, and proved to be.', tone: 'text-soft' }
  if (waiting.value) return { text: 'Not there yet, as expected.', tone: 'text-ochre' }
  if (stale.value) return { text: 'Pasted since this was seen.', tone: 'text-tide' }
  if (!faults.value.length) return { text: 'Confirmed: there, once, in its place.', tone: 'text-kelp' }
  return null
})
const served = computed(() => check.value?.answers.find((a) => a.which === 'served'))
const fresh = computed(() => check.value?.answers.find((a) => a.which === 'fresh'))
const rows = computed(() => {
  if (!check.value) return []
  const { facts } = check.value
  const hops =
    served.value && served.value.finalUrl !== served.value.url
      ? `leads to ${shortAddress(served.value.finalUrl)}`
      : 'no redirect'
  return [
    ['Page', served.value?.status ? `${served.value.status}, ${hops}` : 'no answer'],
    [
      'Where',
      facts?.copies
        ? `${facts.region ?? 'no region we know'}${facts.region === props.install.region ? ', as planned' : `, planned for ${props.install.region}`}`
        : 'not found',
    ],
    ['Copies', String(facts?.copies ?? 0)],
    [
      'As served',
      served.value
        ? `${served.value.ms} ms${served.value.headers.age ? `, copy ${age(Number(served.value.headers.age))} old` : ''}`
        : '',
    ],
    ['Past the cache', fresh.value ? `${fresh.value.status || 'no answer'}, ${fresh.value.ms} ms` : 'not read'],
  ]
})
function leave(): void {
  store.leaveOut(props.install.id)
  void router.push('/installs')
}
const attempt = (deed: Promise<unknown>) => deed.catch((e: unknown) => sayFault(asApiError(e)))
</script>

<template>
  <section aria-labelledby="saw">
    <div
      class="flex items-baseline gap-3 border-b-2 pb-1"
      :class="faults.length && !stale ? 'border-coral' : 'border-ink'"
    >
      <h2 id="saw" class="text-[17px] font-semibold">What we saw</h2>
      <p v-if="check" class="ml-auto text-[13px] text-soft"><TimeAgo :at="check.at" />, signed out</p>
    </div>
    <div aria-live="polite">
      <p v-if="running" class="py-3 text-tide">{{ checkWords[running] }} …</p>
      <template v-else>
        <p v-if="headline" class="pt-3 font-bold" :class="headline.tone">{{ headline.text }}</p>
        <template v-if="!stale"
          ><FindingNote
            v-for="finding in faults"
            :key="finding.id"
            :finding="finding"
            :steps="install.steps"
            :page="{ siteId: install.siteId, pageId: install.pageId }"
            @check="attempt(store.check())"
        /></template>
      </template>
    </div>
    <p class="mt-3 flex flex-wrap gap-x-5 gap-y-1">
      <button
        v-if="install.status !== 'retired'"
        type="button"
        class="word"
        :disabled="running !== null"
        @click="attempt(store.check())"
      >
        Check now
      </button>
      <button
        v-if="install.retiring && install.status !== 'retired'"
        type="button"
        class="word"
        @click="attempt(store.keep())"
      >
        Keep it after all
      </button>
      <button v-else-if="install.status !== 'retired'" type="button" class="word" @click="attempt(store.retire())">
        Retire
      </button>
      <RemoveIt :id="install.id" what="install" @removed="leave">Remove</RemoveIt>
    </p>
    <p v-if="install.retiring && install.status !== 'retired'" class="mt-2 text-[14px] text-soft">
      It is meant to be gone. Take it out of the page; a check that no longer finds it proves it.
    </p>
    <dl v-if="check" class="mt-4 border-t border-rule pt-2 text-[13.5px]">
      <div v-for="[name, value] in rows" :key="name" class="grid grid-cols-[110px_minmax(0,1fr)] gap-3 py-[2px]">
        <dt class="text-soft">{{ name }}</dt>
        <dd>{{ value }}</dd>
      </div>
    </dl>
    <p v-if="check?.answers.length" class="mt-3 text-[13.5px] text-soft">
      Proof kept:
      <template v-for="(answer, index) in check.answers" :key="answer.which"
        >{{ index ? ', ' : ''
        }}<a class="text-soft underline underline-offset-3" :href="`/api/checks/${check.id}/answers/${answer.which}`">{{
          answer.which === 'served' ? 'HTML as served' : 'HTML past the cache'
        }}</a></template
      >, headers, times. Status after it: {{ statuses[check.statusAfter].name }}.
    </p>
  </section>
</template>

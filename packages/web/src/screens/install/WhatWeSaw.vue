<script setup lang="ts">
import { age, isBrowserLook, knownBy, lookKinds, statuses } from '@pebblestrand/core/verify/words'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { asApiError } from '../../api/error'
import type { InstallDetail } from '../../api/types'
import { say, sayFault } from '../../frame/notices'
import { plural, shortAddress } from '../../parts/address'
import RemoveIt from '../../parts/RemoveIt.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import { checkWords, useChecks } from '../../stores/checks'
import { checkInstall, keepInstall, retireInstall, unmuteFinding } from '../../queries/installs'
import { changePlacement } from '../../queries/sites'
import { useWalk } from '../../stores/walk'
import FindingNote from './FindingNote.vue'
import HowJudged from './HowJudged.vue'
import MarkPicture from './MarkPicture.vue'
import ProofPictures from './ProofPictures.vue'

const props = defineProps<{ install: InstallDetail }>()
const walk = useWalk()
const router = useRouter()
const checks = useChecks()

const running = computed(() => checks.running[props.install.id] ?? null)
const check = computed(() => props.install.check)
/** What a first look found before anything was pasted is no fault. */
const waiting = computed(() => props.install.status === 'planned' || props.install.status === 'handed-over')
const faults = computed(() => (waiting.value ? [] : (check.value?.findings ?? [])))
/** Those that ask for someone. */
const open = computed(() => faults.value.filter(({ muted }) => !muted))
const allAway = computed(() => faults.value.length > 0 && !open.value.length)
const stale = computed(() => props.install.status === 'pasted' && !allAway.value)
const headline = computed(() => {
  if (!check.value) return { text: 'Not looked at yet.', tone: 'text-soft' }
  if (props.install.status === 'retired') return { text: 'Gone, and proved to be.', tone: 'text-soft' }
  if (waiting.value) return { text: 'Not there yet, as expected.', tone: 'text-ochre' }
  if (stale.value) return { text: 'Pasted since this was seen.', tone: 'text-tide' }
  if (allAway.value)
    return props.install.status === 'confirmed'
      ? { text: 'Confirmed, but for what was put away.', tone: 'text-kelp' }
      : { text: 'Not confirmed: what is wrong was put away.', tone: 'text-soft' }
  if (!faults.value.length && notes.value.length) return { text: 'Confirmed: there, once.', tone: 'text-kelp' }
  if (!faults.value.length) return { text: 'Confirmed: there, once, in its place.', tone: 'text-kelp' }
  return null
})
const notes = computed(() => (waiting.value ? [] : (check.value?.facts?.notes ?? [])))
const where = computed(() => {
  const facts = check.value?.facts
  const planned = props.install.region
  if (!facts?.copies) return 'not found'
  if (!facts.region) return 'could not be told'
  const known = facts.regionBy ? `, known ${knownBy[facts.regionBy]}` : ''
  return `${facts.region}${!planned || facts.region === planned ? ', as planned' : `, planned for ${planned}`}${known}`
})
const served = computed(() => check.value?.looks.find((look) => look.how === 'served'))
const fresh = computed(() => check.value?.looks.find((look) => look.how === 'fresh'))
const browser = computed(() => {
  const looks = (check.value?.looks ?? []).filter((look) => isBrowserLook(look.how))
  const failed = looks.find((look) => look.problem)
  if (failed) return `not seen: ${failed.problem}`
  return looks.length ? `looked ${looks.map((look) => lookKinds[look.how].name).join(', ')}` : 'not looked at'
})
const mark = computed(() =>
  faults.value.some(({ code }) => code === 'wrong-placement') ? null : check.value?.facts?.mark,
)
async function keepMark(): Promise<void> {
  await changePlacement(props.install.placementId!, { selector: mark.value! })
  say('The placement has its mark.')
  await checkInstall(props.install.id)
}
const kept = computed(() => (check.value?.looks ?? []).filter((look) => !look.problem))
const rows = computed(() => {
  if (!check.value) return []
  const { facts } = check.value
  const hops =
    served.value && served.value.finalUrl !== served.value.url
      ? `leads to ${shortAddress(served.value.finalUrl)}`
      : 'no redirect'
  return [
    ['Page', served.value?.status ? `${served.value.status}, ${hops}` : 'no answer'],
    ['Where', where.value],
    ['Copies', String(facts?.copies ?? 0)],
    [
      'As served',
      served.value
        ? `${served.value.ms} ms${served.value.headers.age ? `, copy ${age(Number(served.value.headers.age))} old` : ''}`
        : '',
    ],
    ['In a browser', browser.value],
    ['Past the cache', fresh.value ? `${fresh.value.status || 'no answer'}, ${fresh.value.ms} ms` : 'not read'],
  ]
})
function leave(): void {
  walk.leaveOut(props.install.id)
  void router.push('/installs')
}
const attempt = (action: Promise<unknown>) => action.catch((e: unknown) => sayFault(asApiError(e)))
</script>

<template>
  <section aria-labelledby="saw">
    <div
      class="flex items-baseline gap-3 border-b-2 pb-1"
      :class="open.length && !stale ? 'border-coral' : 'border-ink'"
    >
      <h2 id="saw" class="text-[17px] font-semibold">What we saw</h2>
      <p v-if="check" class="ml-auto text-[13px] text-soft"><TimeAgo v-if="check.at" :at="check.at" />, signed out</p>
    </div>
    <div aria-live="polite">
      <p v-if="running" class="pt-3 text-tide">{{ checkWords[running] }} …</p>
      <!-- What was seen before stays in sight while it is looked at again, and says that it is of before. -->
      <p v-if="running && check" class="pt-3 text-soft">
        Before this check: {{ headline ? headline.text : plural(open.length, 'finding') + '.' }}
      </p>
      <p v-else-if="headline" class="pt-3 font-bold" :class="headline.tone">{{ headline.text }}</p>
      <template v-if="!stale"
        ><FindingNote
          v-for="finding in faults"
          :key="finding.id"
          :finding="finding"
          :steps="install.steps"
          :page="{ siteId: install.siteId, pageId: install.pageId }"
          :install-id="install.id"
          @unmute="attempt(unmuteFinding(install.id, finding.code))"
          @check="attempt(checkInstall(install.id))"
        />
        <p v-for="note in notes" :key="note.code" class="pt-2 text-soft">{{ note.says }}</p></template
      >
    </div>
    <p class="mt-3 flex flex-wrap gap-x-5 gap-y-1">
      <button
        v-if="install.status !== 'retired'"
        type="button"
        class="word"
        :disabled="running !== null"
        @click="attempt(checkInstall(install.id))"
      >
        Check now
      </button>
      <button
        v-if="install.retiring && install.status !== 'retired'"
        type="button"
        class="word"
        @click="attempt(keepInstall(install.id))"
      >
        Keep it after all
      </button>
      <button
        v-else-if="install.status !== 'retired'"
        type="button"
        class="word"
        @click="attempt(retireInstall(install.id))"
      >
        Retire
      </button>
      <RemoveIt :id="install.id" what="install" @removed="leave">Remove</RemoveIt>
    </p>
    <p v-if="install.retiring && install.status !== 'retired'" class="mt-2 text-[14px] text-soft">
      It is meant to be gone. Take it out of the page; a check that no longer finds it proves it.
    </p>
    <div v-if="mark && install.placementId && !running" class="mt-3 flex gap-4 text-[14px] text-soft">
      <MarkPicture v-if="check" :check="check" class="w-[150px] flex-none" />
      <p class="min-w-0">
        It stands in <code class="font-mono text-[13px]">{{ mark }}</code>.
        <button type="button" class="word" @click="attempt(keepMark())">Keep this as the placement’s mark</button>
        and every later check is certain of the place.
      </p>
    </div>
    <ProofPictures v-if="check" :check="check" />
    <dl v-if="check" class="mt-4 border-t border-rule pt-2 text-[13.5px]">
      <div v-for="[name, value] in rows" :key="name" class="grid grid-cols-[110px_minmax(0,1fr)] gap-3 py-[2px]">
        <dt class="text-soft">{{ name }}</dt>
        <dd>{{ value }}</dd>
      </div>
    </dl>
    <HowJudged v-if="check?.facts?.reasoning" :steps="check.facts.reasoning" />
    <p v-if="check?.looks.length" class="mt-3 text-[13.5px] text-soft">
      <template v-if="kept.length"
        >Proof kept:
        <template v-for="look in kept" :key="look.how"
          ><a class="text-soft underline underline-offset-3" :href="`/api/checks/${check.id}/looks/${look.how}`"
            >HTML {{ lookKinds[look.how].name }}</a
          >, </template
        >headers, times. </template
      >Status after it: {{ statuses[check.statusAfter ?? install.status].name }}.
    </p>
  </section>
</template>

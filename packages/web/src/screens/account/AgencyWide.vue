<script setup lang="ts">
import { namingWords } from '@pebblestrand/core/naming'
import { ref, watch } from 'vue'
import { asApiError } from '../../api/error'
import { say, sayFault } from '../../frame/notices'
import InputField from '../../parts/InputField.vue'
import { aboveFields } from '../../api/error'
import Fault from '../../parts/Fault.vue'
import { useSubmission } from '../../parts/submission'
import {
  bringStarter,
  changeAgency,
  dropStarter,
  starterAddress,
  useAgency,
  useOwnStarters,
  type AgencySettings,
} from '../../queries/agency'
import { useSession } from '../../stores/session'
import { kindOf } from '@pebblestrand/core/kinds'

/** What is set once for all widgets: the agency's line, how widgets are named, designs of its own. */
const session = useSession()
const { data: settings } = useAgency()
const { data: starters } = useOwnStarters()
const wanted = ref<AgencySettings>({
  naming: '',
  credit: { words: '', link: '', look: 'plain' },
  history: { evidenceDays: 90, verdictDays: 730 },
})
let isBegun = false
watch(
  settings,
  (now) => {
    if (!now || isBegun) return
    isBegun = true
    wanted.value = { ...now, credit: { ...now.credit }, history: { ...now.history } }
  },
  { immediate: true },
)
const looks = { plain: 'plain', centred: 'centred', ruled: 'with a line above' }
const kindName = (id: string) => kindOf(id)?.name ?? id
const { busy, error, about, submit } = useSubmission(async () => {
  await changeAgency(wanted.value)
  say('Kept for all widgets.')
})
const attempt = (action: Promise<unknown>) => action.catch((e: unknown) => sayFault(asApiError(e)))
async function bring(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (file)
    await attempt(
      file
        .text()
        .then(bringStarter)
        .then(() => say(`${file.name} is one of your starters now.`)),
    )
  input.value = ''
}
</script>

<template>
  <section aria-labelledby="agency-wide">
    <h2 id="agency-wide" class="text-[20px] font-semibold">All widgets of {{ session.agency }}</h2>
    <form v-if="settings" class="mt-3 max-w-[520px]" novalidate @submit.prevent="submit">
      <Fault v-if="error" :error="aboveFields(error)" class="mb-4" />
      <InputField
        v-model="wanted.naming"
        label="How a new widget is named"
        :hint="`In braces: ${Object.keys(namingWords).join(', ')}.`"
        :fault="about('naming')"
        :disabled="session.person?.role !== 'owner'"
      />
      <InputField
        v-model="wanted.credit.words"
        label="The agency’s line below widgets"
        hint="For clients that have it: it is set with each site. Empty for none."
        :fault="about('credit.words')"
        :disabled="session.person?.role !== 'owner'"
      />
      <InputField
        v-model="wanted.credit.link"
        label="Where it leads"
        placeholder="https://"
        :fault="about('credit.link')"
        :disabled="session.person?.role !== 'owner'"
      />
      <fieldset class="mb-4 border-0 p-0" :disabled="session.person?.role !== 'owner'">
        <legend class="label">How the line is set</legend>
        <label v-for="(says, look) in looks" :key="look" class="mr-5 text-[14px]"
          ><input v-model="wanted.credit.look" type="radio" name="credit-look" :value="look" class="accent-kelp" />
          {{ says }}</label
        >
      </fieldset>
      <InputField
        v-model.number="wanted.history.evidenceDays"
        label="Keep screenshots of changes (days)"
        hint="Whole pages and screenshots of the checks that saw a status or a fault change."
        min="7"
        max="730"
        :fault="about('history.evidenceDays')"
        :disabled="session.person?.role !== 'owner'"
      />
      <InputField
        v-model.number="wanted.history.verdictDays"
        label="Keep daily check results (days)"
        hint="Status changes stay in the time line for as long as the install."
        min="30"
        max="3650"
        :fault="about('history.verdictDays')"
        :disabled="session.person?.role !== 'owner'"
      />
      <button v-if="session.person?.role === 'owner'" class="act" :disabled="busy">Keep these</button>
    </form>
    <h3 class="mt-6 text-[16px] font-semibold">Starters of our own</h3>
    <p v-if="!starters?.rows.length" class="mt-1 text-soft">
      None yet. Any widget’s design can be kept as one, under <i>Other design</i> in its workbench.
    </p>
    <ul v-else class="ledger mt-1 border-t border-rule">
      <li v-for="starter in starters.rows" :key="starter.id" class="flex flex-wrap items-baseline gap-x-4 py-2">
        <b>{{ starter.name }}</b>
        <span class="text-soft">{{ kindName(starter.kind) }}</span>
        <a
          class="word ml-auto"
          :href="starterAddress(starter.id)"
          :aria-label="`Save as a file: ${starter.name}`"
          download
          >Save as a file</a
        >
        <button
          type="button"
          class="word plain"
          :aria-label="`Drop ${starter.name}`"
          @click="attempt(dropStarter(starter.id))"
        >
          Drop
        </button>
      </li>
    </ul>
    <label class="word mt-3 inline-block cursor-pointer focus-within:outline-2 focus-within:outline-tide"
      >Bring one in from a file<input type="file" accept=".json,application/json" class="sr-only" @change="bring"
    /></label>
  </section>
</template>

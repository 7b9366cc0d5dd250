<script setup lang="ts">
import { mailBlanks, mailKindNames } from '@pebblestrand/contract'
import { labels, languages, type LabelLanguage } from '@pebblestrand/core/words'
import { computed, ref, watch } from 'vue'
import { aboveFields } from '../../api/error'
import { say } from '../../frame/notices'
import Fault from '../../parts/Fault.vue'
import InputField from '../../parts/InputField.vue'
import Labelled from '../../parts/Labelled.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import { useSubmission } from '../../parts/submission'
import { changeMailSettings, useMails, useMailSettings, type MailSettings } from '../../queries/handover'
import { useSession } from '../../stores/session'
import LetterPreview from '../handover/LetterPreview.vue'
import { useWriter } from '../handover/writer'

/** How mails to clients are worded, and how often they remind. */
type Kind = keyof typeof mailKindNames
const session = useSession()
const { data: settings } = useMailSettings()
const { data: mails } = useMails()
const wanted = ref<MailSettings>({ wording: {}, remindAfter: 3, remindMost: 2 })
let isBegun = false
watch(
  settings,
  (now) => {
    if (!now || isBegun) return
    isBegun = true
    wanted.value = JSON.parse(
      JSON.stringify({ wording: now.wording, remindAfter: now.remindAfter, remindMost: now.remindMost }),
    ) as MailSettings
  },
  { immediate: true },
)
const kind = ref<Kind>('paste')
const language = ref<LabelLanguage>('en')
const words = useWriter()
const usual = computed(
  () => words.value?.ownWording(words.value.sheetWords[language.value], kind.value) ?? { subject: '', body: '' },
)
const shown = computed(() => wanted.value.wording[kind.value]?.[language.value] ?? usual.value)
function change(piece: 'subject' | 'body', text: string | number | null): void {
  const of = (wanted.value.wording[kind.value] ??= {})
  of[language.value] = { ...shown.value, [piece]: String(text ?? '') }
}
function asUsual(): void {
  delete wanted.value.wording[kind.value]?.[language.value]
}
const given = {
  name: 'Isla',
  site: 'Tarnside Vets',
  link: `${location.origin}/paste/…`,
  sender: session.person?.name ?? '',
  agency: session.agency,
}
const tagOf = computed(() => Object.entries(languages).find(([, one]) => one.labels === language.value)![0])
const names = computed(
  () => new Map(Object.values(languages).map((one) => [one.labels, one.name.replace(/ \(.*/, '')])),
)
const { busy, error, about, submit } = useSubmission(async () => {
  await changeMailSettings(wanted.value, settings.value?.sends ?? false)
  say('Kept for all mails.')
})
const fault = (piece: string) => about(`wording.${kind.value}.${language.value}.${piece}`)
const states = { queued: 'on its way', sent: 'sent', bounced: 'refused', failed: 'not taken' }
</script>

<template>
  <section aria-labelledby="mail-wording">
    <h2 id="mail-wording" class="text-[20px] font-semibold">Mails to clients</h2>
    <p v-if="settings && !settings.sends" class="mt-1 text-soft">
      This Pebblestrand sends no mail: no server is set up for it. Sheets can be handed over by their private links.
    </p>
    <form v-if="settings" class="mt-3" novalidate @submit.prevent="submit">
      <Fault v-if="error" :error="aboveFields(error)" class="mb-4" />
      <div class="grid gap-x-7 sm:grid-cols-2">
        <div class="min-w-0">
          <div class="grid grid-cols-2 gap-x-5">
            <Labelled v-slot="{ id }" label="Mail that">
              <select :id="id" v-model="kind" class="field">
                <option v-for="(one, name) in mailKindNames" :key="name" :value="name">
                  {{ one.name.toLowerCase() }}
                </option>
              </select>
            </Labelled>
            <Labelled v-slot="{ id }" label="In">
              <select :id="id" v-model="language" class="field">
                <option v-for="(_, tag) in labels" :key="tag" :value="tag">{{ names.get(tag) }}</option>
              </select>
            </Labelled>
          </div>
          <InputField
            :model-value="shown.subject"
            label="Subject"
            :fault="fault('subject')"
            @update:model-value="(text) => change('subject', text ?? null)"
          />
          <Labelled
            v-slot="{ id, described, invalid }"
            label="Text"
            :hint="`In braces: ${Object.keys(mailBlanks).join(', ')}.`"
            :fault="fault('body')"
          >
            <textarea
              :id="id"
              class="field leading-[1.5]"
              rows="11"
              :value="shown.body"
              :aria-describedby="described"
              :aria-invalid="invalid"
              @input="change('body', ($event.target as HTMLTextAreaElement).value)"
            />
          </Labelled>
          <button v-if="wanted.wording[kind]?.[language]" type="button" class="word plain mb-3" @click="asUsual">
            As it was worded first
          </button>
        </div>
        <div class="min-w-0">
          <p class="label">As it goes out</p>
          <LetterPreview
            :wording="shown"
            :language="tagOf"
            :given="given"
            :list="['What owners say (Home)', 'Opening hours (Contact)']"
            class="mt-1"
          />
        </div>
      </div>
      <div class="grid max-w-[520px] grid-cols-2 gap-x-5">
        <InputField
          v-model.number="wanted.remindAfter"
          label="Remind after, working days"
          hint="0 for never."
          min="0"
          max="30"
          :fault="about('remindAfter')"
        />
        <InputField
          v-model.number="wanted.remindMost"
          label="Reminders at most"
          min="0"
          max="10"
          :fault="about('remindMost')"
        />
      </div>
      <button v-if="session.person?.role === 'owner'" class="act" :disabled="busy">Keep this wording</button>
    </form>
    <details v-if="mails?.rows.length" class="mt-5">
      <summary class="cursor-pointer font-semibold">Mails that went out</summary>
      <ul class="ledger mt-1 border-t border-rule text-[14px]">
        <li v-for="mail in mails.rows" :key="mail.id" class="flex flex-wrap items-baseline gap-x-4 py-2">
          <span class="min-w-0 flex-1"
            >{{ mail.subject }} <span class="text-soft">to {{ mail.toMail }}</span></span
          >
          <span :class="mail.state === 'bounced' || mail.state === 'failed' ? 'text-coral' : 'text-soft'"
            >{{ states[mail.state] }}<template v-if="mail.problem">: {{ mail.problem }}</template
            >, <TimeAgo :at="mail.queuedAt"
          /></span>
        </li>
      </ul>
    </details>
  </section>
</template>

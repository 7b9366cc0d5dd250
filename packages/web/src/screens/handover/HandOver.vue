<script setup lang="ts">
import { languages } from '@pebblestrand/core/words'
import { computed, reactive, ref, watch } from 'vue'
import { say } from '../../frame/notices'
import { plural } from '../../parts/address'
import { copyText } from '../../parts/clipboard'
import InputField from '../../parts/InputField.vue'
import Labelled from '../../parts/Labelled.vue'
import Panel from '../../parts/Panel.vue'
import SheetForm from '../../parts/SheetForm.vue'
import {
  makeSheet,
  useContacts,
  useMailSettings,
  useOpen,
  type SheetRow,
  type WantedSheet,
} from '../../queries/handover'
import { useSession } from '../../stores/session'
import LetterPreview from './LetterPreview.vue'
import { useWriter } from './writer'

/** Hands what waits over to somebody without an account: by mail, or by a private link that one sends oneself. */
const props = defineProps<{
  about: {
    siteId: string
    site: string
    install?: { id: string; pageId: string; page: string; widget: string }
    kept?: boolean
    retiring?: boolean
  }
}>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const { data: people } = useContacts(() => props.about.siteId)
const { data: settings } = useMailSettings()
const { data: open } = useOpen(() => props.about.install?.id ?? '')

const made = ref<SheetRow | null>(null)
/** The contact chosen, '' for somebody else; null until somebody chooses or the people are known. */
const chosen = ref<string | null>(null)
const who = computed({ get: () => chosen.value ?? '', set: (id: string) => (chosen.value = id) })
const wanted = reactive({
  scope: (props.about.install ? 'install' : 'site') as WantedSheet['scope'],
  toName: '',
  toMail: '',
  language: '',
  message: '',
  days: props.about.kept ? 366 : 30,
  mail: null as boolean | null,
})
const purpose = computed(() =>
  props.about.kept ? 'kept' : (open.value?.purpose ?? (props.about.retiring ? 'remove' : 'paste')),
)
watch(
  people,
  (now) => {
    const first = now?.rows[0]
    const typed = wanted.toName || wanted.toMail
    if (now) chosen.value ??= !typed && first?.roles.includes('pastes') ? first.id : ''
  },
  { immediate: true },
)
const contact = computed(() => people.value?.rows.find(({ id }) => id === who.value))
const scopes = computed(() => [
  { id: 'install' as const, says: 'This one', count: 1 },
  { id: 'page' as const, says: 'All that is open on this page', count: open.value?.page ?? 0 },
  { id: 'site' as const, says: 'All that is open on this site', count: open.value?.site ?? 0 },
])
const idOf = {
  install: () => props.about.install!.id,
  page: () => props.about.install!.pageId,
  site: () => props.about.siteId,
}
const toMail = computed(() => (contact.value ? (contact.value.email ?? '') : wanted.toMail))
const mayMail = computed(() => Boolean(settings.value?.sends) && toMail.value !== '')
/** By mail where that can be, until somebody says otherwise. */
const byMail = computed({
  get: () => wanted.mail ?? (Boolean(contact.value?.email) && Boolean(settings.value?.sends) && !props.about.kept),
  set: (mail: boolean) => (wanted.mail = mail),
})
const sendsMail = computed(() => byMail.value && mayMail.value)

/** The words of the mail, in the language it will be in; where the agency has none of its own, ours. */
const words = useWriter()
const language = computed(() => wanted.language || contact.value?.language || 'en-GB')
const wording = computed(() => {
  const spoken = languages[language.value as keyof typeof languages].labels
  const kind = purpose.value === 'remove' ? 'remove' : 'paste'
  return settings.value?.wording[kind]?.[spoken] ?? words.value?.ownWording(words.value.sheetWords[spoken], kind)
})
const given = computed(() => ({
  name: contact.value?.name ?? (wanted.toName || toMail.value),
  site: props.about.site,
  link: `${location.origin}/${purpose.value === 'remove' ? 'take-out' : 'paste'}/…`,
  sender: session.person?.name ?? '',
  agency: session.agency,
}))
const list = computed(() => {
  const { install } = props.about
  return wanted.scope === 'install' && install ? [`${install.widget} (${install.page})`] : ['…']
})

async function run(): Promise<void> {
  const mail = sendsMail.value
  const sheet = await makeSheet(
    {
      ...wanted,
      ...(who.value && { toName: '', toMail: '' }),
      purpose: purpose.value,
      id: idOf[wanted.scope](),
      contactId: who.value || null,
      language: (wanted.language || null) as never,
      mail,
    },
    props.about.siteId,
  )
  if (!mail) return void (made.value = sheet)
  say(`It is on its way to ${sheet.toName || sheet.toMail}.`)
  emit('close')
}
const title = computed(() => (props.about.kept ? 'A page for the client' : 'Hand it over'))
const copy = () => copyText(made.value!.address, 'The private link is on the clipboard.')
</script>

<template>
  <Panel v-if="made" :open="true" :title="title" @close="emit('close')">
    <p>Whoever has this link can open it until it ends, and nobody else. Send it as you like.</p>
    <p class="mt-3 border border-rule bg-sheet p-3 font-mono text-[13px] break-all" data-link>{{ made.address }}</p>
    <p class="mt-4 flex gap-5">
      <button type="button" class="act" @click="copy">Copy the link</button>
      <a class="word self-center" :href="made.address" target="_blank" rel="noopener">Open it</a>
    </p>
  </Panel>
  <SheetForm
    v-else
    v-slot="{ about: says }"
    :title="title"
    :does="about.kept ? 'Make the link' : sendsMail ? 'Send it' : 'Make the private link'"
    wide
    :run="run"
    @close="emit('close')"
  >
    <div class="grid gap-x-7 sm:grid-cols-2">
      <div class="min-w-0">
        <Labelled v-slot="{ id }" label="To">
          <select :id="id" v-model="who" class="field">
            <option value="">Somebody else</option>
            <option v-for="person in people?.rows ?? []" :key="person.id" :value="person.id">
              {{ person.name }}{{ person.roles.length ? `, ${person.roles.join(', ')}` : '' }}
            </option>
          </select>
        </Labelled>
        <template v-if="!who">
          <InputField v-model="wanted.toName" label="Name" :fault="says('toName')" autocomplete="off" />
          <InputField
            v-model="wanted.toMail"
            label="Mail address"
            type="email"
            :fault="says('toMail')"
            autocomplete="off"
          />
        </template>
        <fieldset v-if="about.install" class="mb-4 border-0 p-0">
          <legend class="label">What</legend>
          <label v-for="scope in scopes" :key="scope.id" class="block text-[14px]" :class="!scope.count && 'text-soft'">
            <input
              v-model="wanted.scope"
              type="radio"
              name="scope"
              :value="scope.id"
              :disabled="!scope.count"
              class="accent-kelp"
            />
            {{ scope.says }}<template v-if="scope.id !== 'install'">: {{ plural(scope.count, 'install') }}</template>
          </label>
          <p v-if="says('scope')" class="text-[13.5px] text-coral">It {{ says('scope') }}.</p>
        </fieldset>
        <fieldset v-if="!about.kept" class="mb-4 border-0 p-0">
          <legend class="label">How</legend>
          <label class="block text-[14px]" :class="!mayMail && 'text-soft'">
            <input v-model="byMail" type="radio" name="way" :value="true" :disabled="!mayMail" class="accent-kelp" />
            By mail<template v-if="!settings?.sends">: this Pebblestrand sends none</template>
          </label>
          <label class="block text-[14px]">
            <input v-model="byMail" type="radio" name="way" :value="false" class="accent-kelp" />
            A private link, which you send
          </label>
        </fieldset>
        <div class="grid grid-cols-2 gap-x-5">
          <Labelled v-slot="{ id }" label="Language">
            <select :id="id" v-model="wanted.language" class="field">
              <option value="">theirs, or the site’s</option>
              <option v-for="(one, tag) in languages" :key="tag" :value="tag">{{ one.name }}</option>
            </select>
          </Labelled>
          <InputField v-model.number="wanted.days" label="Open for, days" min="1" max="366" :fault="says('days')" />
        </div>
      </div>
      <div class="min-w-0">
        <Labelled v-if="!about.kept" v-slot="{ id }" label="A message on the sheet" :fault="says('message')">
          <textarea :id="id" v-model="wanted.message" class="field" rows="3" maxlength="2000" />
        </Labelled>
        <template v-if="sendsMail && wording">
          <p class="label">The mail</p>
          <LetterPreview
            :wording="wording"
            :language="language"
            :given="given"
            :list="list"
            class="mt-1 max-h-[300px] overflow-auto"
          />
        </template>
        <p v-else-if="about.kept" class="text-soft">
          It shows what stands on the site, where, since when and when it was last seen. Nothing can be changed there.
        </p>
      </div>
    </div>
  </SheetForm>
</template>

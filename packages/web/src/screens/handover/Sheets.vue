<script setup lang="ts">
import { asApiError } from '../../api/error'
import { say, sayFault } from '../../frame/notices'
import { plural } from '../../parts/address'
import { copyText } from '../../parts/clipboard'
import TimeAgo from '../../parts/TimeAgo.vue'
import { remindOf, withdrawSheet, type SheetRow } from '../../queries/handover'

/** Who has got what, by which way, and what became of it. */
defineProps<{ sheets: SheetRow[] }>()
const attempt = (action: Promise<unknown>) => action.catch((e: unknown) => sayFault(asApiError(e)))
const who = ({ toName, toMail }: SheetRow) => toName || toMail || 'Whoever has the link'
const opened = ({ visits }: SheetRow) => visits.reduce((sum, one) => sum + one.visits, 0)
const done = (sheet: SheetRow) =>
  sheet.installs.filter(({ status }) => status === (sheet.purpose === 'remove' ? 'retired' : 'confirmed')).length
const copy = ({ address }: SheetRow) => copyText(address, 'The private link is on the clipboard.')
const faulty = ({ mails }: SheetRow) => mails.find(({ state }) => state === 'bounced' || state === 'failed')
const ended = ({ withdrawnAt, isOpen }: SheetRow) => (withdrawnAt ? 'taken back' : isOpen ? '' : 'has ended')
</script>

<template>
  <ul class="ledger border-t border-rule text-[14px]">
    <li v-for="sheet in sheets" :key="sheet.id" class="py-2" :class="!sheet.isOpen && 'text-soft'" data-sheet>
      <p>
        <b>{{ who(sheet) }}</b>
        <template v-if="sheet.purpose === 'kept'">: the client’s own page</template>
        <template v-else-if="sheet.installs.length > 1"
          >: {{ sheet.purpose === 'remove' ? 'take out' : 'paste' }} {{ plural(sheet.installs.length, 'install') }},
          {{ done(sheet) }} finished</template
        ><template v-else-if="sheet.purpose === 'remove'">: take it out</template>,
        <TimeAgo :at="sheet.madeAt" /><template v-if="ended(sheet)">, {{ ended(sheet) }}</template
        >.
        <span>{{ opened(sheet) ? `Opened ${plural(opened(sheet), 'time')}.` : 'Not opened yet.' }}</span>
        <template v-if="sheet.reminded"> Reminded {{ plural(sheet.reminded, 'time') }}.</template>
      </p>
      <p v-if="faulty(sheet)" class="text-coral">
        The mail to {{ sheet.toMail }} was {{ faulty(sheet)!.state === 'bounced' ? 'refused' : 'not taken' }}:
        {{ faulty(sheet)!.problem }}
      </p>
      <p
        v-for="one in sheet.installs.filter(({ trouble }) => trouble)"
        :key="one.id"
        class="border-l-2 border-ochre pl-3"
      >
        <template v-if="sheet.installs.length > 1">{{ one.widget }}: </template>“{{ one.trouble }}”
      </p>
      <details v-if="sheet.visits.length" class="text-[13.5px]">
        <summary class="cursor-pointer text-soft">Opened, by day</summary>
        <ul>
          <li v-for="one in sheet.visits" :key="one.day">{{ one.day }}: {{ plural(one.visits, 'time') }}</li>
        </ul>
      </details>
      <details v-if="sheet.installs.length" class="text-[13.5px]">
        <summary class="cursor-pointer text-soft">The text that was handed over</summary>
        <pre
          v-for="one in sheet.installs"
          :key="one.id"
          class="mt-1 border border-rule bg-sheet p-2 text-[12px] whitespace-pre-wrap break-all"
          tabindex="0"
          >{{ one.snippet }}</pre>
      </details>
      <p v-if="sheet.isOpen" class="flex flex-wrap gap-x-4">
        <button type="button" class="word" :aria-label="`Copy the link of ${who(sheet)}`" @click="copy(sheet)">
          Copy the link
        </button>
        <button
          v-if="sheet.toMail && sheet.purpose !== 'kept' && done(sheet) < sheet.installs.length"
          type="button"
          class="word"
          :aria-label="`Remind ${who(sheet)}`"
          @click="attempt(remindOf(sheet.id).then(() => say(`${who(sheet)} is reminded.`)))"
        >
          Remind
        </button>
        <button
          type="button"
          class="word plain"
          :aria-label="`Take it back: the link of ${who(sheet)}`"
          @click="attempt(withdrawSheet(sheet.id))"
        >
          Take it back
        </button>
      </p>
    </li>
  </ul>
</template>

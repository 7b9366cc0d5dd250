<script setup lang="ts">
import { CONFIRM, confirmationWords, type DeliverySettings } from '@pebblestrand/core/forms'
import { plural } from '../../parts/address'
import InputField from '../../parts/InputField.vue'
import Labelled from '../../parts/Labelled.vue'
import type { FormInfo } from '../../queries/forms'

/** Whether the address is confirmed before the reply goes there, and how many mails the form sends within an hour. */
const wanted = defineModel<DeliverySettings>({ required: true })
defineProps<{ replies: FormInfo['replies']; about: (field: string) => string | undefined }>()
</script>

<template>
  <Labelled
    v-slot="{ id, described }"
    label="Ask the visitor to confirm the address"
    hint="We send a mail with a link first. The reply goes out when the visitor opens the link and confirms."
  >
    <select :id="id" v-model="wanted.confirm" class="field" :aria-describedby="described">
      <option v-for="(words, one) in CONFIRM" :key="one" :value="one">{{ words }}</option>
    </select>
  </Labelled>
  <template v-if="wanted.confirm !== 'never'">
    <InputField
      v-model="wanted.confirmSubject"
      label="Subject of the confirmation mail"
      :placeholder="confirmationWords.en.subject"
      :fault="about('confirmSubject')"
    />
    <Labelled
      v-slot="{ id, described, invalid }"
      label="Text of the confirmation mail"
      hint="In braces: link, site, form. Leave it empty to use our text in the language of the form."
      :fault="about('confirmText')"
    >
      <textarea
        :id="id"
        v-model="wanted.confirmText"
        class="field leading-[1.5]"
        rows="4"
        :aria-describedby="described"
        :aria-invalid="invalid"
      />
    </Labelled>
  </template>
  <InputField
    v-model.number="wanted.repliesPerHour"
    label="Mails to visitors per hour, at most"
    hint="If there are more, they are sent in the next hour. One address gets two mails a day at most."
    min="1"
    max="1000"
    class="max-w-[120px]"
    :fault="about('repliesPerHour')"
  />
  <p v-if="replies.limited" class="mb-4 text-ochre">
    {{ plural(replies.limited, 'reply', 'replies') }} will be sent in the next hour. Raise the limit to send
    {{ replies.limited === 1 ? 'it' : 'them' }} now.
  </p>
  <p v-if="replies.unconfirmed" class="mb-4 text-[13.5px] text-soft">
    {{ plural(replies.unconfirmed, 'visitor has', 'visitors have') }} not confirmed the address yet.
  </p>
</template>

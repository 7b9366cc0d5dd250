<script setup lang="ts">
import { reactive } from 'vue'
import { aboveFields } from '../../api/error'
import { say } from '../../frame/notices'
import { plural } from '../../parts/address'
import Fault from '../../parts/Fault.vue'
import InputField from '../../parts/InputField.vue'
import { useSubmission } from '../../parts/submission'
import { changePassword } from '../../queries/account'

const typed = reactive({ current: '', wanted: '' })
const { busy, error, about, submit } = useSubmission(async () => {
  const ended = await changePassword(typed.current, typed.wanted)
  Object.assign(typed, { current: '', wanted: '' })
  say(`Your password is changed.${ended ? ` ${plural(ended, 'other session')} ended.` : ''}`)
})
</script>

<template>
  <form class="min-w-0" novalidate @submit.prevent="submit">
    <h2 class="mb-3 text-[19px] font-semibold">Another password</h2>
    <Fault v-if="error" :error="aboveFields(error)" class="mb-4" />
    <InputField
      v-model="typed.current"
      label="Your password now"
      type="password"
      autocomplete="current-password"
      :fault="about('current')"
    />
    <InputField
      v-model="typed.wanted"
      label="The new one"
      hint="12 characters or more; several words that do not belong together are easy to keep and hard to guess."
      type="password"
      autocomplete="new-password"
      :fault="about('wanted')"
    />
    <button class="act mt-1" :disabled="busy">Change the password</button>
    <p class="mt-3 text-[14px] text-soft">Everywhere else you are signed out then.</p>
  </form>
</template>

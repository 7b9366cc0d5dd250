<script setup lang="ts">
import { reactive } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { aboveFields } from '../../api/error'
import WordMark from '../../frame/WordMark.vue'
import Fault from '../../parts/Fault.vue'
import Labelled from '../../parts/Labelled.vue'
import { useSubmission } from '../../parts/submission'
import { useSession } from '../../stores/session'

const session = useSession()
const router = useRouter()
const route = useRoute()
const owner = reactive({ key: String(route.query.key ?? ''), agency: '', name: '', email: '', password: '' })

const fields = [
  { name: 'key', label: 'Set-up key', type: 'text', complete: 'off', hint: 'Printed where this server was started.' },
  {
    name: 'agency',
    label: 'Name of the agency',
    type: 'text',
    complete: 'organization',
    hint: 'Said in the comment of every snippet.',
  },
  { name: 'name', label: 'Your name', type: 'text', complete: 'name', hint: '' },
  { name: 'email', label: 'Your e-mail address', type: 'email', complete: 'username', hint: '' },
  {
    name: 'password',
    label: 'Password',
    type: 'password',
    complete: 'new-password',
    hint: '12 characters or more; several words are easy to keep and hard to guess.',
  },
] as const

const { busy, error, about, submit } = useSubmission(async () => {
  await session.setUp({ ...owner })
  await router.push('/today')
})
</script>

<template>
  <div class="min-h-dvh px-4 pt-6 pb-12 lg:px-8">
    <WordMark />
    <form class="mt-12 w-full max-w-[420px] lg:ml-[226px]" novalidate @submit.prevent="submit">
      <h1 class="mb-2 text-[31px] font-bold">Make the owner’s account</h1>
      <p class="mb-6 text-soft">This Pebblestrand is empty. Whoever holds the set-up key becomes its owner.</p>
      <Fault v-if="error" :error="aboveFields(error)" class="mb-5" />
      <Labelled
        v-for="field in fields"
        :key="field.name"
        v-slot="{ id, invalid, described }"
        :label="field.label"
        :hint="field.hint"
        :fault="about(field.name)"
      >
        <input
          :id="id"
          v-model="owner[field.name]"
          class="field"
          :type="field.type"
          :autocomplete="field.complete"
          :aria-invalid="invalid"
          :aria-describedby="described"
        />
      </Labelled>
      <button class="act mt-2" :disabled="busy">Make the account</button>
    </form>
  </div>
</template>

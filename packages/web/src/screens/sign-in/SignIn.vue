<script setup lang="ts">
import { ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import WordMark from '../../frame/WordMark.vue'
import Fault from '../../parts/Fault.vue'
import Labelled from '../../parts/Labelled.vue'
import { useSubmission } from '../../parts/submission'
import { useSession } from '../../stores/session'
import Beach from './Beach.vue'

const session = useSession()
const router = useRouter()
const route = useRoute()
const email = ref('')
const password = ref('')

/** Only a path of our own is gone to. */
const next = () => {
  const then = String(route.query.then ?? '/today')
  return /^\/(?![/\\])/.test(then) ? then : '/today'
}

const { busy, error, about, submit } = useSubmission(async () => {
  await session.signIn(email.value, password.value)
  await router.push(next())
})
</script>

<template>
  <div class="grid min-h-dvh grid-rows-[auto_1fr_auto] px-4 pt-6 lg:px-8">
    <WordMark />
    <form class="mt-[12vh] w-full max-w-[380px] justify-self-start lg:ml-[226px]" @submit.prevent="submit">
      <h1 class="mb-2 text-[31px] font-bold">Sign in</h1>
      <p class="mb-6 text-soft">Build a widget once, place it on any client site, and know that it is there.</p>
      <Fault v-if="error && !error.issues.length" :error="error" class="mb-5" />
      <Labelled v-slot="{ id, invalid, described }" label="E-mail address" :fault="about('email')">
        <input
          :id="id"
          v-model="email"
          class="field"
          type="email"
          name="email"
          autocomplete="username"
          required
          :aria-invalid="invalid"
          :aria-describedby="described"
        />
      </Labelled>
      <Labelled v-slot="{ id, invalid, described }" label="Password" :fault="about('password')">
        <input
          :id="id"
          v-model="password"
          class="field"
          type="password"
          name="password"
          autocomplete="current-password"
          required
          :aria-invalid="invalid"
          :aria-describedby="described"
        />
      </Labelled>
      <button class="act mt-2" :disabled="busy">{{ busy ? 'Signing in …' : 'Sign in' }}</button>
      <p v-if="session.demo && !session.needsSetUp" class="mt-6 text-[13.5px] text-soft">
        This is the demo. The account is printed where it was started.
      </p>
    </form>
    <Beach class="-mx-4 lg:-mx-8" />
  </div>
</template>

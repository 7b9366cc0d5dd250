<script setup lang="ts">
import type { PlatformProfile } from '@pebblestrand/core/platforms/schema'
import InputField from '../../parts/InputField.vue'

/** What happens on a platform's sites once something is pasted: publishing, caches, how visitors go about, what is let through. */
const profile = defineModel<PlatformProfile>({ required: true })
defineProps<{ about: (field: string) => string; locked: boolean }>()
const publishing = {
  'at once': 'What is saved is shown at once',
  'by page': 'Each page is published by a button',
  'by site': 'The whole site is published at once',
} as const
const navigation = {
  loads: 'Each page is loaded anew',
  'without loading': 'Pages change without loading',
} as const
const clears = ['by itself', 'by hand', 'by waiting'] as const

/** A layer's id has to differ from the others'. */
function addCache(): void {
  const taken = new Set(profile.value.caches.map(({ id }) => id))
  let number = taken.size + 1
  while (taken.has(`cache-${number}`)) number++
  profile.value.caches.push({ id: `cache-${number}`, name: 'Page cache', clears: 'by hand' })
}
const setPolicy = (text: string) => (profile.value.policy = text.trim() || null)
</script>

<template>
  <section aria-labelledby="habits">
    <h2 id="habits" class="text-[17px] font-semibold">What its sites do</h2>
    <label class="mt-3 block text-[14px] text-soft"
      >Publishing
      <select
        v-model="profile.publishing"
        class="field mt-1 text-ink disabled:appearance-none disabled:border-transparent disabled:px-0"
      >
        <option v-for="(says, id) in publishing" :key="id" :value="id">{{ says }}</option>
      </select></label
    >
    <label class="mt-3 block text-[14px] text-soft"
      >On the way from page to page
      <select
        v-model="profile.navigation"
        class="field mt-1 text-ink disabled:appearance-none disabled:border-transparent disabled:px-0"
      >
        <option v-for="(says, id) in navigation" :key="id" :value="id">{{ says }}</option>
      </select></label
    >
    <p class="mt-3">
      <label
        ><input v-model="profile.connector" type="checkbox" class="accent-kelp" /> a connector that replaces shortcodes
        can be put in</label
      >
    </p>
    <h3 class="mt-4 mb-1 text-[14px] text-soft">Caches, the outermost first</h3>
    <ul class="border-y border-rule">
      <li
        v-for="(layer, at) in profile.caches"
        :key="layer.id"
        class="flex flex-wrap items-baseline gap-3 border-b border-rule py-2 last:border-0"
      >
        <input
          v-model="layer.name"
          class="field min-w-[160px] flex-1 disabled:border-transparent disabled:px-0"
          :aria-label="`Cache ${at + 1}, what it is called there`"
          maxlength="60"
        />
        <span class="text-soft">cleared</span>
        <select
          v-model="layer.clears"
          class="field w-auto disabled:appearance-none disabled:border-transparent disabled:px-0"
          :aria-label="`${layer.name}, cleared`"
        >
          <option v-for="way in clears" :key="way">{{ way }}</option>
        </select>
        <button
          v-if="!locked"
          type="button"
          class="word plain"
          :aria-label="`Take out the cache ${layer.name}`"
          @click="profile.caches.splice(at, 1)"
        >
          take out
        </button>
        <p v-if="about(`profile.caches.${at}.name`)" class="w-full text-coral" role="alert">
          {{ about(`profile.caches.${at}.name`) }}
        </p>
      </li>
      <li v-if="!profile.caches.length" class="py-2 text-soft">none is known</li>
    </ul>
    <button v-if="!locked && profile.caches.length < 6" type="button" class="word mt-2" @click="addCache">
      Add a cache
    </button>
    <InputField
      v-if="!locked || profile.policy"
      :model-value="profile.policy ?? ''"
      label="The content security policy its sites commonly have"
      :fault="about('profile.policy')"
      class="mt-4"
      @update:model-value="setPolicy(String($event))"
    />
  </section>
</template>

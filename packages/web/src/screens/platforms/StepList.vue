<script setup lang="ts">
import type { PlatformProfile } from '@pebblestrand/core/platforms/schema'

/** Steps in the order in which the site wants them. */
const profile = defineModel<PlatformProfile>({ required: true })
defineProps<{ about: (field: string) => string }>()
const names: Record<string, string> = {
  open: 'Open',
  paste: 'Paste',
  allow: 'Allow us',
  save: 'Save',
  publish: 'Publish',
  cache: 'Clear the cache',
  look: 'Look',
}
</script>

<template>
  <section aria-labelledby="steps">
    <h2 id="steps" class="text-[17px] font-semibold">Steps</h2>
    <p class="mt-1 text-[13.5px] text-soft">
      {page}, {region}, {box} and {cache} are filled in; what stands between ** is set as it stands on that screen.
    </p>
    <ol class="mt-3 grid gap-3">
      <li v-for="(step, index) in profile.steps" :key="step.id">
        <label class="block text-[14px]"
          ><span class="text-soft">{{ names[step.id] }}</span>
          <textarea
            v-model="step.does"
            class="field mt-1 w-full"
            rows="2"
            maxlength="500"
            :aria-invalid="Boolean(about(`profile.steps.${index}.does`))"
            :aria-describedby="`step-${index}`"
          />
        </label>
        <p :id="`step-${index}`" class="text-[14px] text-coral">{{ about(`profile.steps.${index}.does`) }}</p>
      </li>
    </ol>
  </section>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { usePlatforms, type SiteFacts } from '../queries/sites'
import InputField from './InputField.vue'
import Labelled from './Labelled.vue'

/** What is noted of a site when it is added, and corrected later. */
const site = defineModel<SiteFacts>({ required: true })
defineProps<{ about: (field: string) => string; nameHint?: string }>()
const { data } = usePlatforms()
const platforms = computed(() => data.value?.rows ?? [])
const zones = Intl.supportedValuesOf('timeZone')
</script>

<template>
  <InputField v-model="site.name" label="Name of the site" :hint="nameHint" :fault="about('name')" />
  <InputField
    v-model="site.origin"
    label="Web address"
    inputmode="url"
    placeholder="https://"
    :fault="about('origin')"
  />
  <Labelled v-slot="{ id, invalid, described }" label="Built with" :fault="about('platform')">
    <select :id="id" v-model="site.platform" class="field" :aria-invalid="invalid" :aria-describedby="described">
      <option v-for="platform in platforms" :key="platform.id" :value="platform.id">{{ platform.name }}</option>
    </select>
  </Labelled>
  <InputField
    v-model.number="site.cacheMinutes"
    label="Keeps pages in a cache, minutes"
    min="0"
    max="43200"
    hint="0 where it keeps none."
    :fault="about('cacheMinutes')"
  />
  <InputField
    v-model="site.timeZone"
    label="Time zone"
    list="time-zones"
    autocomplete="off"
    hint="Like Atlantic/Faroe."
    :fault="about('timeZone')"
  />
  <datalist id="time-zones"><option v-for="zone in zones" :key="zone" :value="zone" /></datalist>
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { usePlatforms } from '../queries/platforms'
import type { SiteFacts } from '../queries/sites'
import InputField from './InputField.vue'
import Labelled from './Labelled.vue'

/** What is noted of a site when it is added, and corrected later. */
const site = defineModel<SiteFacts>({ required: true })
const props = defineProps<{
  about: (field: string) => string
  /** Where a field's value was read, or that it is assumed. */
  told?: Partial<Record<keyof SiteFacts, string>>
  /** Of a site that is there already: what only it may be built with is offered too. */
  siteId?: string
}>()
const { data } = usePlatforms(props.siteId)
/** What only one site may be built with is offered to that one. */
const platforms = computed(() =>
  (data.value?.rows ?? []).filter(({ own }) => !own?.siteId || own.siteId === props.siteId),
)
const zones = Intl.supportedValuesOf('timeZone')
</script>

<template>
  <InputField v-model="site.name" label="Name of the site" :hint="told?.name" :fault="about('name')" />
  <InputField
    v-model="site.origin"
    label="Web address"
    inputmode="url"
    placeholder="https://"
    :hint="told?.origin"
    :fault="about('origin')"
  />
  <Labelled v-slot="{ id, invalid, described }" label="Built with" :hint="told?.platform" :fault="about('platform')">
    <select :id="id" v-model="site.platform" class="field" :aria-invalid="invalid" :aria-describedby="described">
      <option v-for="platform in platforms" :key="platform.id" :value="platform.id">{{ platform.name }}</option>
    </select>
  </Labelled>
  <InputField
    v-model.number="site.cacheMinutes"
    label="Keeps pages in a cache, minutes"
    min="0"
    max="43200"
    :hint="told?.cacheMinutes ?? '0 where it keeps none.'"
    :fault="about('cacheMinutes')"
  />
  <InputField
    v-model="site.timeZone"
    label="Time zone"
    list="time-zones"
    autocomplete="off"
    :hint="told?.timeZone ?? 'Like Atlantic/Faroe.'"
    :fault="about('timeZone')"
  />
  <InputField
    v-model="site.language"
    label="Language"
    autocomplete="off"
    :hint="told?.language ?? 'Of its pages, like en or pt-BR.'"
    :fault="about('language')"
  />
  <datalist id="time-zones"><option v-for="zone in zones" :key="zone" :value="zone" /></datalist>
</template>

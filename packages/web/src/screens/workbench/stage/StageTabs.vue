<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Paged, Place } from '../../../api/types'
import { placesWith } from '../../../queries/sites'
import { byItself, inPlace, screens, type Screen, type Setting } from './widths'

/** The window, and where in it: by itself, where the widget stands, or any placement there is. */
const props = defineProps<{ chosen: Setting; places: Place[]; around: boolean }>()
const emit = defineEmits<{ choose: [setting: Setting]; around: [shown: boolean] }>()
const found = ref<Paged<Place> | null>(null)
const others = computed(() => found.value?.rows ?? [])
const words = ref('')

const known = computed(() => new Map([...props.places, ...others.value].map((p) => [p.placementId, p])))
let asked = 0
/** Of two searches the later one counts. */
async function search(): Promise<void> {
  const own = ++asked
  const places = await placesWith(words.value)
  if (own === asked) found.value = places
}
const load = () => found.value ?? search()
const many = computed(() => words.value !== '' || (found.value !== null && found.value.total > found.value.rows.length))
const chosenId = computed(() => props.chosen.place?.placementId ?? '')
function pick(event: Event): void {
  const place = known.value.get((event.target as HTMLSelectElement).value)
  const { screen } = props.chosen
  emit('choose', place ? inPlace(place, screen) : byItself(screen))
}
const resize = (screen: Screen) =>
  emit('choose', props.chosen.place ? inPlace(props.chosen.place, screen) : byItself(screen))
const said = (place: Place) =>
  `${place.site}, ${place.page ? `${place.page}, ` : ''}${place.placement} (${place.width} px)`
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-6 gap-y-2 text-[14px]" role="group" aria-label="Where to look at it">
    <button
      v-for="screen in screens"
      :key="screen.id"
      type="button"
      class="cursor-pointer border-b-2 py-1"
      :class="chosen.screen.id === screen.id ? 'border-ink font-bold' : 'border-transparent text-soft'"
      :aria-pressed="chosen.screen.id === screen.id"
      @click="resize(screen)"
    >
      {{ screen.name }} {{ screen.width }}
    </button>
    <label
      class="flex min-w-0 items-center gap-2 border-b-2 py-1"
      :class="chosenId ? 'border-ink font-bold' : 'border-transparent text-soft'"
    >
      In place:
      <select
        class="max-w-[220px] cursor-pointer truncate bg-transparent"
        :class="{ 'font-bold': chosenId }"
        :value="chosenId"
        aria-label="In place"
        @focus="load"
        @mousedown="load"
        @change="pick"
      >
        <option value="">none (widget alone)</option>
        <optgroup v-if="places.length" label="Where it stands">
          <option v-for="place in places" :key="place.placementId" :value="place.placementId">{{ said(place) }}</option>
        </optgroup>
        <optgroup label="Anywhere">
          <option
            v-for="place in others.filter((o) => !places.some((p) => p.placementId === o.placementId))"
            :key="place.placementId"
            :value="place.placementId"
          >
            {{ said(place) }}
          </option>
          <option v-if="chosen.place && !known.has(chosenId)" :value="chosenId">{{ said(chosen.place) }}</option>
        </optgroup>
      </select>
    </label>
    <button
      v-if="chosen.page"
      type="button"
      class="word text-[14px]"
      :aria-pressed="around"
      @click="emit('around', !around)"
    >
      {{ around ? 'The placement alone' : 'The page around it' }}
    </button>
    <label v-if="many" class="flex min-w-0 items-center gap-2 text-soft">
      with
      <input
        v-model="words"
        class="field max-w-[150px] py-[2px]"
        type="search"
        placeholder="site or placement"
        aria-label="Placements with these words"
        @change="search"
      />
    </label>
  </div>
</template>

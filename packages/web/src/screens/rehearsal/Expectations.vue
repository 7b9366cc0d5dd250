<script setup lang="ts">
import type { MadeUpVisit, Rehearsal } from '@pebblestrand/core/presence'
import { computed, ref } from 'vue'
import { asApiError } from '../../api/error'
import { sayFault } from '../../frame/notices'
import InputField from '../../parts/InputField.vue'
import SheetForm from '../../parts/SheetForm.vue'
import { dropVisit, keepVisit, type KeptVisit, type RehearsalOf } from '../../queries/rehearsals'
import { missing, type As } from './playing'

/** Visits that are kept, whether they go as expected, and keeping the one that was just played. */
const props = defineProps<{ of: RehearsalOf; siteId: string; visit: MadeUpVisit; played: Rehearsal; as: As }>()
const emit = defineEmits<{ look: [visit: MadeUpVisit, id: string] }>()
const keeping = ref(false)
const name = ref('')
/** What is expected of each widget: as it went, until somebody says otherwise. */
const chosen = ref<Record<string, 'sees' | 'never' | ''>>({})

const widgets = computed(() => [...new Map(props.of.overPage.map((one) => [one.widgetId, one])).values()])
const nameOf = (id: string) => widgets.value.find(({ widgetId }) => widgetId === id)?.widget ?? 'a widget that is gone'
const kept = computed(() =>
  props.of.expectations.map((one) => ({ ...one, missing: missing(props.of, one.visit, one.expected, props.as) })),
)
function begin(): void {
  name.value = ''
  chosen.value = Object.fromEntries(
    widgets.value.map(({ widgetId, installId }) => [
      widgetId,
      props.played.outcomes.find(({ id }) => id === installId)?.shown ? 'sees' : 'never',
    ]),
  )
  keeping.value = true
}
const keep = () =>
  keepVisit(props.siteId, {
    name: name.value,
    visit: props.visit,
    expected: Object.entries(chosen.value)
      .filter(([, what]) => what !== '')
      .map(([widgetId, what]) => ({ widgetId, sees: what === 'sees' })),
  })
const says = ({ expected }: KeptVisit) =>
  expected.map(({ widgetId, sees }) => `${sees ? 'sees' : 'never sees'} ${nameOf(widgetId)}`).join(', ')
const drop = (id: string) => dropVisit(id).catch((e: unknown) => sayFault(asApiError(e)))
</script>

<template>
  <section aria-labelledby="kept">
    <h2 id="kept" class="text-[17px] font-semibold">Kept with the site</h2>
    <p class="mt-1 text-[13.5px] text-soft">
      Looked at whenever something is published; one that would no longer hold stops it.
    </p>
    <ul class="ledger mt-2 border-t border-rule">
      <li v-for="one in kept" :key="one.id" class="py-2 text-[14px]">
        <p :class="one.missing.length ? 'font-bold text-coral' : 'font-bold'">{{ one.name }}</p>
        <p class="text-soft">It {{ says(one) }}.</p>
        <p v-if="one.missing.length" class="text-coral">
          Not as expected:
          {{
            one.missing.map(({ widgetId, sees }) => `${nameOf(widgetId)} is ${sees ? 'never ' : ''}seen`).join(', ')
          }}.
        </p>
        <p v-else class="text-kelp">As expected.</p>
        <p class="mt-1 flex gap-4">
          <button
            type="button"
            class="word text-[13.5px]"
            :aria-label="`Play ${one.name}`"
            @click="emit('look', one.visit, one.id)"
          >
            Play
          </button>
          <button type="button" class="word plain text-[13.5px]" :aria-label="`Drop ${one.name}`" @click="drop(one.id)">
            Drop
          </button>
        </p>
      </li>
    </ul>
    <button v-if="of.overPage.length" type="button" class="act mt-3" @click="begin">Keep this visit</button>
    <SheetForm
      v-if="keeping"
      v-slot="{ about }"
      title="Keep this visit"
      does="Keep it"
      :run="keep"
      @done="keeping = false"
      @close="keeping = false"
    >
      <InputField
        v-model="name"
        label="What it is about"
        :fault="about('name')"
        placeholder="A returning visitor never sees the voucher"
      />
      <fieldset class="border-0 p-0">
        <legend class="label">What is expected</legend>
        <div
          v-for="one in widgets"
          :key="one.widgetId"
          class="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-1"
        >
          <span class="min-w-[140px] flex-1">{{ one.widget }}</span>
          <label v-for="(words, value) in { sees: 'is seen', never: 'is never seen', '': 'either' }" :key="value">
            <input
              v-model="chosen[one.widgetId]"
              type="radio"
              :name="one.widgetId"
              :value="value"
              class="accent-kelp"
            />
            {{ words }}
          </label>
        </div>
      </fieldset>
      <p v-if="about('expected')" class="mt-1 text-coral">It {{ about('expected') }}.</p>
    </SheetForm>
  </section>
</template>

<script setup lang="ts">
import { devices, type MadeUpVisit } from '@pebblestrand/core/presence'
import Labelled from '../../parts/Labelled.vue'
import TypedField from '../../parts/TypedField.vue'
import { blankPage, type KnownPage, type MadeUpReturn } from './made-up'
import SmallNumber from './SmallNumber.vue'
import TakeOut from './TakeOut.vue'
import VisitedPage from './VisitedPage.vue'

/** A made-up visitor, changed as one reads: who they are, when they come, what they do on each page. */
defineProps<{ pages: readonly KnownPage[] }>()
const visit = defineModel<MadeUpVisit>({ required: true })

/** Days, visits and seconds of patience that are taken. */
const MOST = { days: 400, visits: 40, patience: 600 }

const change = (part: Partial<MadeUpVisit>) => (visit.value = { ...visit.value, ...part })
const changeVisit = (at: number, part: Partial<MadeUpReturn>) =>
  change({ visits: visit.value.visits.with(at, { ...visit.value.visits[at]!, ...part }) })
/** A week after the last time. */
const again = (pages: readonly KnownPage[]): MadeUpReturn => ({
  afterDays: Math.min(MOST.days, (visit.value.visits.at(-1)?.afterDays ?? 0) + 7),
  pages: [blankPage(pages)],
})
</script>

<template>
  <form class="text-[14px]" @submit.prevent>
    <Labelled v-slot="{ id }" label="Device">
      <select
        :id="id"
        class="field"
        :value="visit.device"
        @change="change({ device: ($event.target as HTMLSelectElement).value as MadeUpVisit['device'] })"
      >
        <option v-for="device in devices" :key="device">{{ device }}</option>
      </select>
    </Labelled>
    <div class="grid grid-cols-2 gap-x-4">
      <Labelled v-slot="{ id }" label="Language">
        <TypedField
          :id="id"
          class="field"
          maxlength="20"
          :value="visit.languages[0]!"
          @change="(text: string) => text.length > 1 && change({ languages: [text] })"
        />
      </Labelled>
      <Labelled v-slot="{ id }" label="Country">
        <TypedField
          :id="id"
          class="field"
          maxlength="2"
          placeholder="unknown"
          :value="visit.country ?? ''"
          @change="(text: string) => change({ country: /^[a-z]{2}$/i.test(text) ? text.toUpperCase() : null })"
        />
      </Labelled>
    </div>
    <Labelled v-slot="{ id }" label="First comes at">
      <TypedField
        :id="id"
        class="field"
        type="datetime-local"
        :value="visit.begins"
        @change="(text: string) => text && change({ begins: text.slice(0, 16) })"
      />
    </Labelled>
    <p class="mt-2 flex flex-wrap items-center gap-x-2">
      Closes what they did not ask for after
      <SmallNumber
        :value="visit.patience"
        :most="MOST.patience"
        says="Seconds after which they close what they did not ask for; 0 for never"
        @change="change({ patience: $event })"
      />
      s (0: never)
    </p>
    <fieldset v-for="(one, at) in visit.visits" :key="at" class="mt-2 border-0 border-t border-ink p-0 pt-2">
      <legend class="sr-only">Visit {{ at + 1 }}</legend>
      <div class="flex items-center gap-2">
        <b>{{ at ? 'Comes back' : 'First visit' }}</b>
        <template v-if="at">
          after
          <SmallNumber
            :value="one.afterDays"
            :most="MOST.days"
            :says="`Visit ${at + 1}: days after the first`"
            @change="changeVisit(at, { afterDays: $event })"
          />
          days
        </template>
        <TakeOut
          v-if="visit.visits.length > 1"
          class="ml-auto"
          :says="`Take visit ${at + 1} out`"
          @press="change({ visits: visit.visits.toSpliced(at, 1) })"
        />
      </div>
      <VisitedPage
        v-for="(page, i) in one.pages"
        :key="i"
        :model-value="page"
        :pages="pages"
        :visit="at + 1"
        :number="i + 1"
        :single="one.pages.length === 1"
        @update:model-value="changeVisit(at, { pages: one.pages.with(i, $event) })"
        @out="changeVisit(at, { pages: one.pages.toSpliced(i, 1) })"
      />
      <button
        type="button"
        class="word mt-2 text-[13px]"
        @click="changeVisit(at, { pages: [...one.pages, blankPage(pages)] })"
      >
        And goes on to another page
      </button>
    </fieldset>
    <button
      v-if="visit.visits.length < MOST.visits"
      type="button"
      class="word mt-3 text-[13px]"
      @click="change({ visits: [...visit.visits, again(pages)] })"
    >
      And comes back
    </button>
  </form>
</template>

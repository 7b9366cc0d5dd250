<script setup lang="ts">
import { devices, type MadeUpVisit } from '@pebblestrand/core/presence'
import { X } from '@lucide/vue'
import Labelled from '../../parts/Labelled.vue'
import TypedField from '../../parts/TypedField.vue'

/** A made-up visitor, changed as one reads: who they are, when they come, what they do on each page. */
const props = defineProps<{ pages: readonly { title: string; path: string }[] }>()
const visit = defineModel<MadeUpVisit>({ required: true })

type Page = MadeUpVisit['visits'][number]['pages'][number]
type Step = Page['steps'][number]

const change = (part: Partial<MadeUpVisit>) => (visit.value = { ...visit.value, ...part })
const changeVisit = (at: number, part: Partial<MadeUpVisit['visits'][number]>) =>
  change({ visits: visit.value.visits.with(at, { ...visit.value.visits[at]!, ...part }) })
const changePage = (at: number, page: number, part: Partial<Page>) => {
  const { pages } = visit.value.visits[at]!
  changeVisit(at, { pages: pages.with(page, { ...pages[page]!, ...part }) })
}
const whole = (text: string, most: number) => Math.min(most, Math.max(0, Math.round(Number(text) || 0)))
const does: Record<Step['does'], string> = {
  scroll: 'scrolls to, %',
  reach: 'sees',
  click: 'presses',
  leave: 'moves to leave',
  move: 'moves the pointer',
  call: 'sets off a script’s call',
  close: 'closes it',
  answer: 'presses its button',
}
const begun = (kind: Step['does'], at: number): Step =>
  kind === 'scroll'
    ? { at, does: kind, share: 50 }
    : kind === 'reach' || kind === 'click'
      ? { at, does: kind, selector: '#' }
      : { at, does: kind }
const blank = (): Page => ({
  path: props.pages[0]?.path ?? '/',
  query: '',
  fragment: '',
  referrer: '',
  stays: 30,
  steps: [{ at: 10, does: 'scroll', share: 50 }],
})
const plain = (path: string) => !/[*:{]/.test(path)
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
    <Labelled v-slot="{ id }" label="Closes what they did not ask for after, s (0: never)">
      <TypedField
        :id="id"
        class="field"
        type="number"
        min="0"
        max="600"
        :value="visit.patience"
        @change="(text: string) => change({ patience: whole(text, 600) })"
      />
    </Labelled>
    <fieldset v-for="(one, at) in visit.visits" :key="at" class="mt-2 border-0 border-t border-ink p-0 pt-2">
      <legend class="sr-only">Visit {{ at + 1 }}</legend>
      <p class="flex items-baseline gap-2">
        <b>{{ at ? 'Comes back' : 'First visit' }}</b>
        <label v-if="at" class="flex items-baseline gap-1"
          >after
          <TypedField
            class="field w-[60px]"
            type="number"
            min="0"
            max="400"
            :aria-label="`Visit ${at + 1}: days after the first`"
            :value="one.afterDays"
            @change="(text: string) => changeVisit(at, { afterDays: whole(text, 400) })"
          />
          days</label
        >
        <button
          v-if="visit.visits.length > 1"
          type="button"
          class="ml-auto grid size-6 flex-none cursor-pointer place-items-center"
          :aria-label="`Take visit ${at + 1} out`"
          @click="change({ visits: visit.visits.toSpliced(at, 1) })"
        >
          <X :size="13" />
        </button>
      </p>
      <div v-for="(page, number) in one.pages" :key="number" class="mt-2 border-l-2 border-rule pl-3">
        <p class="flex items-center gap-2">
          <select
            class="field min-w-0 flex-1 font-mono text-[13px]"
            :aria-label="`Visit ${at + 1}, page ${number + 1}`"
            :value="page.path"
            @change="changePage(at, number, { path: ($event.target as HTMLSelectElement).value })"
          >
            <option v-for="known in pages.filter((each) => plain(each.path))" :key="known.path" :value="known.path">
              {{ known.path }}
            </option>
            <option v-if="!pages.some((known) => known.path === page.path)" :value="page.path">{{ page.path }}</option>
          </select>
          <TypedField
            class="field w-[60px]"
            type="number"
            min="1"
            max="1800"
            :aria-label="`Seconds on page ${number + 1} of visit ${at + 1}`"
            :value="page.stays"
            @change="(text: string) => changePage(at, number, { stays: Math.max(1, whole(text, 1800)) })"
          />
          s
          <button
            v-if="one.pages.length > 1"
            type="button"
            class="grid size-6 flex-none cursor-pointer place-items-center"
            :aria-label="`Take page ${number + 1} out of visit ${at + 1}`"
            @click="changeVisit(at, { pages: one.pages.toSpliced(number, 1) })"
          >
            <X :size="13" />
          </button>
        </p>
        <ul>
          <li v-for="(step, i) in page.steps" :key="i" class="mt-1 flex items-center gap-1 text-[13px]">
            <TypedField
              class="field w-[50px]"
              type="number"
              min="0"
              :max="page.stays"
              :aria-label="`Step ${i + 1}: at which second`"
              :value="step.at"
              @change="
                (text: string) =>
                  changePage(at, number, { steps: page.steps.with(i, { ...step, at: whole(text, page.stays) }) })
              "
            />s
            <select
              class="field min-w-0 flex-1"
              :aria-label="`Step ${i + 1}: what they do`"
              :value="step.does"
              @change="
                changePage(at, number, {
                  steps: page.steps.with(i, begun(($event.target as HTMLSelectElement).value as Step['does'], step.at)),
                })
              "
            >
              <option v-for="(words, kind) in does" :key="kind" :value="kind">{{ words }}</option>
            </select>
            <TypedField
              v-if="step.does === 'scroll'"
              class="field w-[50px]"
              type="number"
              min="0"
              max="100"
              :aria-label="`Step ${i + 1}: share of the page`"
              :value="step.share"
              @change="
                (text: string) =>
                  changePage(at, number, { steps: page.steps.with(i, { ...step, share: whole(text, 100) }) })
              "
            />
            <TypedField
              v-if="step.does === 'click' || step.does === 'reach'"
              class="field w-[80px] font-mono"
              :aria-label="`Step ${i + 1}: CSS selector`"
              :value="step.selector"
              @change="
                (text: string) =>
                  text && changePage(at, number, { steps: page.steps.with(i, { ...step, selector: text }) })
              "
            />
            <button
              type="button"
              class="grid size-6 flex-none cursor-pointer place-items-center"
              :aria-label="`Take step ${i + 1} out`"
              @click="changePage(at, number, { steps: page.steps.toSpliced(i, 1) })"
            >
              <X :size="12" />
            </button>
          </li>
        </ul>
        <button
          type="button"
          class="word mt-1 text-[13px]"
          @click="changePage(at, number, { steps: [...page.steps, begun('scroll', Math.min(page.stays, 10))] })"
        >
          Add a step
        </button>
      </div>
      <button type="button" class="word mt-2 text-[13px]" @click="changeVisit(at, { pages: [...one.pages, blank()] })">
        And goes on to another page
      </button>
    </fieldset>
    <button
      v-if="visit.visits.length < 40"
      type="button"
      class="word mt-3 text-[13px]"
      @click="
        change({
          visits: [...visit.visits, { afterDays: (visit.visits.at(-1)?.afterDays ?? 0) + 7, pages: [blank()] }],
        })
      "
    >
      And comes back
    </button>
  </form>
</template>

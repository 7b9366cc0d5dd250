<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import type { Trigger } from '@pebblestrand/core/presence'
import { triggerNames } from '@pebblestrand/core/presence/words'
import OrderButtons from '../../../parts/OrderButtons.vue'
import TypedField from '../../../parts/TypedField.vue'

/** What sets it off: one thing or several, each with what it needs to know. */
const props = defineProps<{ control: ControlOf<'triggers'>; value: Trigger[]; label: string }>()
const emit = defineEmits<{ set: [value: Trigger[]] }>()

type On = Trigger['on']
/** What each begins as. */
const blank: { [K in On]: Extract<Trigger, { on: K }> } = {
  seconds: { on: 'seconds', seconds: 15 },
  scrolled: { on: 'scrolled', share: 50 },
  reached: { on: 'reached', selector: '#' },
  leaving: { on: 'leaving' },
  idle: { on: 'idle', seconds: 30 },
  arrival: { on: 'arrival' },
  click: { on: 'click', selector: '.' },
  fragment: { on: 'fragment', name: 'offer' },
  call: { on: 'call' },
}
const change = (at: number, trigger: Trigger) => emit('set', props.value.with(at, trigger))
const whole = (text: string, most: number) => Math.min(most, Math.max(1, Math.round(Number(text) || 1)))
function move(at: number, by: -1 | 1): void {
  const one = props.value[at]!
  emit('set', props.value.toSpliced(at, 1).toSpliced(at + by, 0, one))
}
</script>

<template>
  <div>
    <ol class="ledger" :aria-label="label">
      <li v-for="(trigger, at) in value" :key="at" class="py-2">
        <div class="flex items-center gap-2">
          <select
            class="field min-w-0 flex-1"
            :aria-label="`${label} ${at + 1}`"
            :value="trigger.on"
            @change="change(at, { ...blank[($event.target as HTMLSelectElement).value as On] })"
          >
            <option v-for="(words, on) in triggerNames" :key="on" :value="on">{{ words }}</option>
          </select>
          <OrderButtons
            :at="at"
            :count="value.length"
            :labels="{ up: `Move ${at + 1} up`, down: `Move ${at + 1} down`, out: `Take ${at + 1} out` }"
            @move="move(at, $event)"
            @out="emit('set', value.toSpliced(at, 1))"
          />
        </div>
        <label v-if="'seconds' in trigger" class="mt-1 flex items-baseline gap-2"
          >Seconds
          <TypedField
            class="field w-[80px]"
            type="number"
            min="1"
            max="3600"
            :value="trigger.seconds"
            @change="(text: string) => change(at, { ...trigger, seconds: whole(text, 3600) } as Trigger)"
        /></label>
        <label v-if="'share' in trigger" class="mt-1 flex items-baseline gap-2"
          >Per cent of the page
          <TypedField
            class="field w-[80px]"
            type="number"
            min="1"
            max="100"
            :value="trigger.share"
            @change="(text: string) => change(at, { ...trigger, share: whole(text, 100) } as Trigger)"
        /></label>
        <label v-if="'selector' in trigger" class="mt-1 flex items-baseline gap-2"
          >CSS selector
          <TypedField
            class="field font-mono"
            maxlength="200"
            :value="trigger.selector"
            @change="(text: string) => change(at, { ...trigger, selector: text })"
        /></label>
        <label v-if="'name' in trigger" class="mt-1 flex items-baseline gap-2"
          >#
          <TypedField
            class="field font-mono"
            maxlength="100"
            :value="trigger.name"
            @change="(text: string) => change(at, { ...trigger, name: text })"
        /></label>
        <p v-if="trigger.on === 'call'" class="mt-1 text-[13px] text-soft">
          The site’s own script says <code class="font-mono">pebblestrand.show('…')</code> with the install’s id.
        </p>
      </li>
    </ol>
    <button
      v-if="value.length < control.most"
      type="button"
      class="word mt-2"
      @click="emit('set', [...value, { ...blank.scrolled }])"
    >
      Add a trigger
    </button>
    <p class="mt-2 text-[13px] text-soft">15 s, 30 s and half the page are common.</p>
  </div>
</template>

<script setup lang="ts">
import { fieldKinds, type Field, type Option, type When } from '@pebblestrand/core/forms'
import { computed } from 'vue'
import Labelled from '../../../parts/Labelled.vue'
import TypedField from '../../../parts/TypedField.vue'
import FieldOptions from './FieldOptions.vue'
import FieldWhen from './FieldWhen.vue'

/** What is asked about one field: what all have, then what its kind has. */
const props = defineProps<{ field: Field; earlier: Field[]; faults: Record<string, string> }>()
const emit = defineEmits<{ set: [change: Record<string, unknown>] }>()

const value = (key: string) => (props.field as unknown as Record<string, unknown>)[key]
const set = (key: string, to: unknown) => emit('set', { [key]: to })
const parts = computed(() => fieldKinds[props.field.is].parts)
const numberOr = (text: string, otherwise: number | null) =>
  text.trim() === '' || Number.isNaN(Number(text)) ? otherwise : Number(text)
const weekdays = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
function weekday(number: number, on: boolean): void {
  const chosen = new Set(value('notOn') as number[])
  if (on) chosen.add(number)
  else chosen.delete(number)
  set('notOn', [...chosen].sort())
}
const days = (text: string) => text.split(/[\s,;]+/).filter(Boolean)
</script>

<template>
  <div :key="field.name">
    <template v-if="'label' in field">
      <Labelled
        v-slot="{ id, invalid, described }"
        :label="field.is === 'consent' ? 'What they agree to, word for word' : 'Words'"
        :fault="faults.label"
      >
        <textarea
          v-if="field.is === 'consent' || field.is === 'tick'"
          :id="id"
          class="field leading-[1.45]"
          rows="3"
          :value="field.label"
          :aria-invalid="invalid"
          :aria-describedby="described"
          @input="set('label', ($event.target as HTMLTextAreaElement).value)"
        />
        <input
          v-else
          :id="id"
          class="field"
          :value="field.label"
          :aria-invalid="invalid"
          :aria-describedby="described"
          @input="set('label', ($event.target as HTMLInputElement).value)"
        />
      </Labelled>
      <Labelled v-slot="{ id }" label="Help below the words" :fault="faults.help">
        <input
          :id="id"
          class="field"
          :value="field.help"
          @input="set('help', ($event.target as HTMLInputElement).value)"
        />
      </Labelled>
      <p class="mb-4 flex flex-wrap gap-x-6 gap-y-1">
        <label class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="accent-kelp"
            :checked="field.required"
            @change="set('required', ($event.target as HTMLInputElement).checked)"
          />
          needed</label
        >
        <label class="flex items-center gap-2"
          ><input
            type="checkbox"
            class="accent-kelp"
            :checked="field.width === 'half'"
            @change="set('width', ($event.target as HTMLInputElement).checked ? 'half' : 'whole')"
          />
          half as wide, where there is room</label
        >
      </p>
    </template>
    <template v-for="part in parts" :key="part.key">
      <FieldOptions
        v-if="part.input === 'options'"
        :options="value(part.key) as Option[]"
        :fault="faults[part.key]"
        @set="set(part.key, $event)"
      />
      <fieldset v-else-if="part.input === 'weekdays'" class="mb-4">
        <legend class="label">{{ part.label }}</legend>
        <label v-for="(day, at) in weekdays" :key="day" class="mr-4 inline-flex items-center gap-[6px]"
          ><input
            type="checkbox"
            class="accent-kelp"
            :checked="(value(part.key) as number[]).includes(at + 1)"
            @change="weekday(at + 1, ($event.target as HTMLInputElement).checked)"
          />
          {{ day }}</label
        >
      </fieldset>
      <label v-else-if="part.input === 'switch'" class="mb-4 flex items-center gap-2"
        ><input
          type="checkbox"
          class="accent-kelp"
          :checked="Boolean(value(part.key))"
          @change="set(part.key, ($event.target as HTMLInputElement).checked)"
        />
        {{ part.label }}</label
      >
      <Labelled
        v-else
        v-slot="{ id, invalid, described }"
        :label="part.label"
        :hint="part.hint"
        :fault="faults[part.key]"
      >
        <select
          v-if="part.input === 'choice'"
          :id="id"
          class="field"
          :value="value(part.key)"
          @change="set(part.key, ($event.target as HTMLSelectElement).value)"
        >
          <option v-for="(words, one) in part.choices" :key="one" :value="one">{{ words }}</option>
        </select>
        <textarea
          v-else-if="part.input === 'days'"
          :id="id"
          class="field font-mono"
          rows="2"
          :value="(value(part.key) as string[]).join('\n')"
          :aria-invalid="invalid"
          :aria-describedby="described"
          @change="set(part.key, days(($event.target as HTMLTextAreaElement).value))"
        />
        <input
          v-else-if="part.input === 'line'"
          :id="id"
          class="field"
          :value="value(part.key)"
          :aria-invalid="invalid"
          :aria-describedby="described"
          @input="set(part.key, ($event.target as HTMLInputElement).value)"
        />
        <TypedField
          v-else
          :id="id"
          type="number"
          class="field w-[120px]"
          :value="(value(part.key) as number | null) ?? ''"
          :aria-invalid="invalid"
          :aria-describedby="described"
          @change="(text: string) => set(part.key, numberOr(text, part.input === 'count' ? 0 : null))"
        />
      </Labelled>
    </template>
    <FieldWhen
      v-if="'when' in field"
      :when="field.when"
      :earlier="earlier"
      :fault="faults.when"
      @set="(to: When | null) => set('when', to)"
    />
    <Labelled
      v-slot="{ id, invalid, described }"
      label="Known as"
      hint="In lists and files; small letters, digits and dashes."
      :fault="faults.name"
    >
      <TypedField
        :id="id"
        class="field font-mono"
        :value="field.name"
        :aria-invalid="invalid"
        :aria-describedby="described"
        @change="(text: string) => set('name', text.trim())"
      />
    </Labelled>
  </div>
</template>

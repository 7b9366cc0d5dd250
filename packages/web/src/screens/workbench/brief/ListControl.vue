<script setup lang="ts">
import type { ControlOf } from '@pebblestrand/core/kinds'
import OrderButtons from '../../../parts/OrderButtons.vue'
import { plain } from '../../../stores/plain'
import { componentFor } from './controls'

/** Values of one control in an order: each changed in place, moved up and down, taken out, and new ones added. */
const props = defineProps<{ control: ControlOf<'list'>; value: unknown[]; label: string }>()
const emit = defineEmits<{ set: [value: unknown[]] }>()

const change = (at: number, value: unknown) => emit('set', props.value.with(at, value))
const remove = (at: number) => emit('set', props.value.toSpliced(at, 1))
function move(at: number, by: -1 | 1): void {
  const one = props.value[at]
  emit('set', props.value.toSpliced(at, 1).toSpliced(at + by, 0, one))
}
const add = () => emit('set', [...props.value, plain(props.control.blank)])
const named = (at: number) => `${props.control.one} ${at + 1}`
</script>

<template>
  <div>
    <ol class="ledger max-h-[320px] overflow-auto" :aria-label="label">
      <li v-for="(one, at) in value" :key="at" class="py-2">
        <p class="mb-1 flex items-center gap-1 text-[12.5px] text-soft">
          <span class="mr-auto">{{ named(at) }}</span>
          <OrderButtons
            :at="at"
            :count="value.length"
            :labels="{ up: `Move ${named(at)} up`, down: `Move ${named(at)} down`, out: `Take ${named(at)} out` }"
            @move="move(at, $event)"
            @out="remove(at)"
          />
        </p>
        <component
          :is="componentFor(control.of)"
          :control="control.of"
          :value="one"
          :label="named(at)"
          @set="change(at, $event)"
        />
      </li>
    </ol>
    <p v-if="!value.length" class="text-soft">{{ control.none }}</p>
    <button v-if="value.length < control.most" type="button" class="word mt-2" @click="add">
      Add a {{ control.one }}
    </button>
    <p v-else class="mt-2 text-[13px] text-soft">{{ control.most }} at most.</p>
  </div>
</template>

<script setup lang="ts">
import { THRESHOLDS, type Typical } from '@pebblestrand/core/presence'
import { whyWords } from '@pebblestrand/core/presence/words'
import { computed } from 'vue'
import type { RehearsalOf } from '../../queries/rehearsals'
import { interruptions, play, type As } from './playing'

/** Ten typical visitors, each played against everything on the site. */
const props = defineProps<{ of: RehearsalOf; visitors: readonly Typical[]; as: As; chosen: string }>()
const emit = defineEmits<{ choose: [visitor: Typical] }>()
const rows = computed(() =>
  props.visitors.map((visitor) => ({
    visitor,
    cells: play(props.of, visitor.visit, props.as).outcomes,
    month: interruptions(props.of, visitor, props.as),
  })),
)
</script>

<template>
  <div class="overflow-x-auto" tabindex="0" role="region" aria-label="Ten typical visitors">
    <table class="w-full border-collapse text-[13.5px]">
      <thead>
        <tr class="border-b border-ink text-left align-bottom">
          <th scope="col" class="py-1 pr-3 font-semibold">Visitor</th>
          <th v-for="one in of.overPage" :key="one.installId" scope="col" class="px-2 py-1 font-semibold">
            {{ one.widget }}
          </th>
          <th scope="col" class="py-1 pl-2 text-right font-semibold">In a month</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.visitor.id" class="border-b border-rule align-top">
          <th scope="row" class="py-[6px] pr-3 text-left font-normal">
            <button
              type="button"
              class="word plain text-[14px]"
              :class="chosen === row.visitor.id && 'font-bold text-ink'"
              @click="emit('choose', row.visitor)"
            >
              {{ row.visitor.name }}
            </button>
          </th>
          <td v-for="cell in row.cells" :key="cell.id" class="px-2 py-[6px]">
            <b v-if="cell.shown" class="text-kelp">seen{{ cell.shown > 1 ? ` ${cell.shown} times` : '' }}</b>
            <span v-else-if="cell.why" class="text-[13px] text-soft">{{ whyWords[cell.why] }}</span>
          </td>
          <td class="py-[6px] pl-2 text-right whitespace-nowrap" :class="row.month.isMuch && 'text-ochre'">
            {{ row.month.month }} ×<template v-if="row.month.most > 1">, {{ row.month.most }} in a visit</template>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="mt-2 text-[13px] text-soft">
      How often each is interrupted without having asked, when they keep coming as they do. Common practice: not more
      than
      {{ THRESHOLDS.perVisit === 1 ? 'once' : `${THRESHOLDS.perVisit} times` }} in a visit, and by one widget not more
      than {{ THRESHOLDS.perMonth === 2 ? 'twice' : `${THRESHOLDS.perMonth} times` }} a month.
    </p>
  </div>
</template>

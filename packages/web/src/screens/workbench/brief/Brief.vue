<script setup lang="ts">
import { briefOf, type BriefParagraph } from '@pebblestrand/core/kinds'
import { computed } from 'vue'
import { useWorkbench } from '../../../stores/workbench'
import { say } from '../../../frame/notices'
import BriefPiece from './BriefPiece.vue'
import type { WithSheet } from './controls'

/** The settings as short paragraphs; every bold piece is a control, opened in place. */
const emit = defineEmits<{ sheet: [which: WithSheet] }>()
defineProps<{ notes: Record<string, string> }>()
const bench = useWorkbench()
const paragraphs = computed(() =>
  bench.kind
    ? briefOf(bench.kind, bench.settings, { sourceNames: bench.sourceNames, widgetNames: bench.widgetNames })
    : [],
)
/** A paragraph of what is shown is what a widget is for, and no design. */
const changedSinceStarter = (id: string) => id !== 'shows' && bench.sinceStarter(id).length > 0

function backToStarter({ id, heading }: BriefParagraph): void {
  bench.backToStarter(id)
  say(`${heading}: as its starter has it again.`, { undo: bench.undo })
}
</script>

<template>
  <div>
    <section
      v-for="paragraph in paragraphs"
      :key="paragraph.id"
      class="border-t border-rule py-[10px]"
      :aria-labelledby="`brief-${paragraph.id}`"
    >
      <div class="mb-[2px] flex items-baseline justify-between gap-3">
        <h2 :id="`brief-${paragraph.id}`" class="label font-sans tracking-normal">{{ paragraph.heading }}</h2>
        <p class="flex gap-4 text-[13px] whitespace-nowrap text-soft">
          <span v-if="notes[paragraph.id]">{{ notes[paragraph.id] }}</span>
          <button
            v-if="bench.lookingAt === null && changedSinceStarter(paragraph.id)"
            type="button"
            class="word plain text-[13px]"
            :aria-label="`${paragraph.heading}: as its starter has it`"
            @click="backToStarter(paragraph)"
          >
            as its starter has it
          </button>
        </p>
      </div>
      <p class="text-[16px] leading-[26px]">
        <template v-for="(piece, index) in paragraph.pieces" :key="index">
          <template v-if="'text' in piece">{{ piece.text }}</template>
          <BriefPiece
            v-else
            :piece="piece"
            :value="bench.settings[piece.key]"
            :fault="bench.faults[piece.key] ?? ''"
            :disabled="bench.lookingAt !== null"
            @set="bench.set(piece.key, $event)"
            @sheet="emit('sheet', $event)"
          />
        </template>
      </p>
      <slot :name="paragraph.id" />
    </section>
  </div>
</template>

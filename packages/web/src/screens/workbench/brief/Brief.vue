<script setup lang="ts">
import { briefOf } from '@pebblestrand/core/kinds'
import { computed } from 'vue'
import { useWorkbench } from '../../../stores/workbench'
import BriefPiece from './BriefPiece.vue'

/** The settings as short paragraphs; every bold piece is a control, opened in place. */
const emit = defineEmits<{ sources: [] }>()
defineProps<{ notes: Record<string, string> }>()
const bench = useWorkbench()
const paragraphs = computed(() =>
  bench.kind ? briefOf(bench.kind, bench.settings, { sourceNames: bench.sourceNames }) : [],
)
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
        <p v-if="notes[paragraph.id]" class="text-[13px] whitespace-nowrap text-soft">{{ notes[paragraph.id] }}</p>
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
            @sources="emit('sources')"
          />
        </template>
      </p>
    </section>
  </div>
</template>

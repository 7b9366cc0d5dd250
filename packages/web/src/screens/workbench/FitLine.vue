<script setup lang="ts">
import { fillsHere, fitMends, fitVerdict, mostItems } from '@pebblestrand/core/kinds'
import { computed } from 'vue'
import Pebble from '../../parts/Pebble.vue'
import { useWorkbench } from '../../stores/workbench'

/** Whether the widget fits the width on the stage, and what would make it fit by one press. */
const props = defineProps<{ width: number; shown: number }>()
const bench = useWorkbench()
const verdict = computed(() =>
  bench.kind?.box && bench.parsed ? fitVerdict(bench.kind.box, bench.parsed, props.width) : null,
)
const mends = computed(() => (bench.kind && bench.parsed ? fitMends(bench.kind, bench.parsed, props.width) : []))
/** How many more or fewer would leave no gap in the last row, of those the widget may show. */
const fills = computed(() => {
  const { kind, parsed } = bench
  if (!kind?.box || !parsed || !verdict.value || verdict.value.verdict === 'too-narrow' || !props.shown) return []
  const fill = fillsHere(kind.box, parsed, verdict.value.fit.columns, props.shown, mostItems(kind))
  // More than are shown there are only where their number was cut off.
  return fill.filter((count) => count < props.shown || props.shown === parsed.count)
})
</script>

<template>
  <div v-if="verdict" class="mt-4 flex gap-3">
    <Pebble
      :status="verdict.verdict === 'too-narrow' ? 'needs-a-hand' : 'confirmed'"
      seed="verdict"
      class="mt-1"
      aria-hidden="true"
    />
    <div>
      <p>
        <b>{{ verdict.head }}</b> {{ verdict.says }}
      </p>
      <p v-if="mends.length" class="mt-1 flex flex-wrap gap-x-5">
        <button v-for="mend in mends" :key="mend.words" type="button" class="word" @click="bench.setAll(mend.change)">
          {{ mend.words }}
        </button>
      </p>
      <p v-if="fills.length" class="mt-1 flex flex-wrap gap-x-5">
        The last row has gaps.
        <button v-for="count in fills" :key="count" type="button" class="word" @click="bench.setAll({ count })">
          Show {{ count }}
        </button>
      </p>
    </div>
  </div>
</template>

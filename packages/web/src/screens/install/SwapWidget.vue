<script setup lang="ts">
import { computed, ref } from 'vue'
import type { InstallDetail, WidgetRow } from '../../api/types'
import { say } from '../../frame/notices'
import { fitOf, sizeWords } from '../../parts/fit'
import InputField from '../../parts/InputField.vue'
import SheetForm from '../../parts/SheetForm.vue'
import Thumbnail from '../../parts/Thumbnail.vue'
import { planSwap, swapInstall } from '../../queries/installs'
import { useWidgetList } from '../../queries/widgets'

/** Another widget in the same place: how it fits is seen before it stands there, now or from a time on. */
const props = defineProps<{ install: InstallDetail; when: 'now' | 'planned' }>()
const emit = defineEmits<{ close: [] }>()

const words = ref('')
const { data: list } = useWidgetList(() => ({ q: words.value, page: 1, size: 60 }))
const chosenId = ref('')
const from = ref('')
const until = ref('')

/** What is published, and stands where this one does. */
const offered = computed(() =>
  (list.value?.rows ?? [])
    .filter((row) => row.release !== null && row.id !== props.install.widgetId)
    .map((row) => ({ row, fit: props.install.width ? fitOf(row.kind, row.settings, props.install.width) : null })),
)
const chosen = computed(() => offered.value.find(({ row }) => row.id === chosenId.value) ?? null)
/** Px: what the drawing has in the sheet. */
const ROOM = 300
const scale = computed(() => Math.min(1, ROOM / (props.install.width ?? ROOM)))
const heightSays = computed(() => {
  const width = props.install.width
  if (!chosen.value?.fit || !width) return ''
  return sizeWords(chosen.value.row as WidgetRow, chosen.value.fit, width)
})

async function run(): Promise<void> {
  const { id } = props.install
  if (props.when === 'now') await swapInstall(id, chosenId.value)
  else await planSwap(id, { widgetId: chosenId.value, from: from.value, until: until.value || null })
}
function done(): void {
  say(
    props.when === 'now'
      ? `${chosen.value?.row.name} stands there now. The client’s page was not touched.`
      : `${chosen.value?.row.name} is planned. Today says so before it begins.`,
  )
  emit('close')
}
</script>

<template>
  <SheetForm
    v-slot="{ about }"
    :title="when === 'now' ? 'Swap the widget' : 'Plan a swap'"
    :does="when === 'now' ? 'Swap it' : 'Plan it'"
    wide
    :run="run"
    @done="done"
    @close="emit('close')"
  >
    <p class="mb-4 text-[14px] text-soft">
      In place of <b class="text-ink">{{ install.widget }}</b> on {{ install.site }}, {{ install.page }},
      {{ install.placement ?? 'over the page' }}<template v-if="install.width"> ({{ install.width }} px)</template>.
      What is pasted there stays as it is.
    </p>
    <div class="grid gap-6 sm:grid-cols-[minmax(0,1fr)_300px]">
      <fieldset class="min-w-0 border-0 p-0">
        <legend class="label">Widget</legend>
        <input
          v-model.lazy="words"
          class="field mt-1"
          type="search"
          placeholder="Only those with"
          aria-label="Widgets: only those with"
        />
        <ul class="ledger mt-2 max-h-[300px] overflow-auto border-t border-rule">
          <li v-for="{ row, fit } in offered" :key="row.id">
            <label class="flex cursor-pointer items-baseline gap-2 py-[6px]">
              <input v-model="chosenId" type="radio" name="widget" :value="row.id" />
              <span class="min-w-0 flex-1">{{ row.name }}</span>
              <span v-if="fit" class="text-[13px]" :class="fit.verdict === 'too-narrow' ? 'text-coral' : 'text-soft'">{{
                fit.head.replace(/\.$/, '').toLowerCase()
              }}</span>
            </label>
          </li>
          <li v-if="!offered.length" class="py-2 text-soft">
            No other published widget{{ words ? ' is called that' : '' }}.
          </li>
        </ul>
        <p v-if="about('widgetId')" class="mt-1 text-[13.5px] text-coral">It {{ about('widgetId') }}.</p>
      </fieldset>
      <div class="min-w-0 text-[13.5px] text-soft">
        <template v-if="chosen">
          <Thumbnail
            :thumbnail="chosen.row.thumbnail"
            :width="install.width ?? ROOM"
            :scale="scale"
            class="h-[230px] border border-rule"
          />
          <p v-if="chosen.fit" class="mt-2">
            <b class="text-ink">{{ chosen.fit.head }}</b> {{ chosen.fit.says }}
          </p>
          <p v-if="heightSays">{{ heightSays }}. The snippet keeps the height it was pasted with.</p>
        </template>
        <p v-else>Choose one to see it as wide as its place.</p>
      </div>
    </div>
    <div v-if="when === 'planned'" class="mt-4 grid gap-x-5 sm:grid-cols-2">
      <InputField
        v-model="from"
        type="datetime-local"
        label="From"
        :hint="`In the site’s time, ${install.timeZone}.`"
        :fault="about('from')"
      />
      <InputField
        v-model="until"
        type="datetime-local"
        label="Until, if it is to end"
        hint="Then what stands there now comes back."
        :fault="about('until')"
      />
    </div>
  </SheetForm>
</template>

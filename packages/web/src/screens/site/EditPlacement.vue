<script setup lang="ts">
import { regionIds, type Region } from '@pebblestrand/core/snippet'
import { reactive, ref } from 'vue'
import type { ApiError } from '../../api/error'
import { asApiError } from '../../api/error'
import type { Page, Placement } from '../../api/types'
import Fault from '../../parts/Fault.vue'
import Labelled from '../../parts/Labelled.vue'
import Panel from '../../parts/Panel.vue'
import { useSites } from '../../stores/sites'

/** Adds a placement, or changes one. */
const props = defineProps<{ placement: Placement | null; page: Page }>()
const emit = defineEmits<{ close: [] }>()
const sites = useSites()
const wanted = reactive({
  name: props.placement?.name ?? '',
  region: (props.placement?.region ?? 'main') as Region,
  width: props.placement?.width ?? 300,
  selector: props.placement?.selector ?? '',
  shared: props.placement ? props.placement.pageId === null : true,
})
const error = ref<ApiError | null>(null)

async function keep(): Promise<void> {
  error.value = null
  const { shared, region, selector, ...rest } = wanted
  try {
    if (props.placement) await sites.changePlacement(props.placement.id, { ...rest, selector: selector || null })
    else
      await sites.addPlacement({ ...rest, region, selector: selector || null, pageId: shared ? null : props.page.id })
    emit('close')
  } catch (e) {
    error.value = asApiError(e)
  }
}
</script>

<template>
  <Panel :open="true" :title="placement ? `Placement: ${placement.name}` : 'Add a placement'" @close="emit('close')">
    <form novalidate @submit.prevent="keep">
      <Fault v-if="error" :error="error" class="mb-4" />
      <Labelled v-slot="{ id, invalid, described }" label="Name" :fault="error?.about('name')"
        ><input :id="id" v-model="wanted.name" class="field" :aria-invalid="invalid" :aria-describedby="described"
      /></Labelled>
      <Labelled
        v-if="!placement"
        v-slot="{ id }"
        label="Region"
        hint="Where on the page it lies; checks compare with this."
      >
        <select :id="id" v-model="wanted.region" class="field">
          <option v-for="region in regionIds" :key="region">{{ region }}</option>
        </select>
      </Labelled>
      <Labelled
        v-slot="{ id, invalid, described }"
        label="Width, px"
        hint="As a visitor with a desktop screen sees it."
        :fault="error?.about('width')"
        ><input
          :id="id"
          v-model.number="wanted.width"
          class="field"
          type="number"
          min="40"
          max="4000"
          :aria-invalid="invalid"
          :aria-describedby="described"
      /></Labelled>
      <Labelled
        v-slot="{ id, invalid, described }"
        label="CSS selector"
        hint="Leave it empty unless the region alone does not tell: where it is given, it decides."
        :fault="error?.about('selector')"
        ><input
          :id="id"
          v-model="wanted.selector"
          class="field font-mono"
          :aria-invalid="invalid"
          :aria-describedby="described"
      /></Labelled>
      <label v-if="!placement" class="mb-4 flex items-center gap-2"
        ><input v-model="wanted.shared" type="checkbox" /> Every page of this site has it</label
      >
      <button class="act">{{ placement ? 'Keep these' : 'Add the placement' }}</button>
    </form>
  </Panel>
</template>

<script setup lang="ts">
import { regionIds, type Region } from '@pebblestrand/core/platforms/schema'
import { reactive } from 'vue'
import type { Page, Placement } from '../../api/types'
import InputField from '../../parts/InputField.vue'
import Labelled from '../../parts/Labelled.vue'
import RemoveIt from '../../parts/RemoveIt.vue'
import SheetForm from '../../parts/SheetForm.vue'
import { addPlacement, changePlacement } from '../../queries/sites'

/** Adds a placement, or changes one. */
const props = defineProps<{ siteId: string; placement: Placement | null; page: Page }>()
const emit = defineEmits<{ close: []; removed: [] }>()
const wanted = reactive({
  name: props.placement?.name ?? '',
  region: (props.placement?.region ?? 'main') as Region,
  width: (props.placement?.width ?? 300) as number | null,
  widthTablet: props.placement?.widthTablet ?? null,
  widthPhone: props.placement?.widthPhone ?? null,
  selector: props.placement?.selector ?? '',
  shared: props.placement ? props.placement.pageId === null : true,
})

async function keep(): Promise<void> {
  const { shared, region, selector, ...rest } = wanted
  const change = { ...rest, selector: selector || null }
  if (props.placement) await changePlacement(props.placement.id, change)
  else await addPlacement(props.siteId, { ...change, region, pageId: shared ? null : props.page.id })
}
</script>

<template>
  <SheetForm
    :title="placement ? `Placement: ${placement.name}` : 'Add a placement'"
    :does="placement ? 'Keep these' : 'Add the placement'"
    :run="keep"
    @close="emit('close')"
    @done="emit('close')"
  >
    <template #default="{ about }">
      <InputField v-model="wanted.name" label="Name" :fault="about('name')" />
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
      <InputField
        v-model.number="wanted.width"
        label="Width, px"
        min="40"
        max="4000"
        hint="As a visitor with a desktop screen sees it."
        :fault="about('width')"
      />
      <div class="grid grid-cols-2 gap-x-4">
        <InputField
          v-model.number="wanted.widthTablet"
          label="On a tablet, px"
          min="40"
          max="4000"
          :fault="about('widthTablet')"
        />
        <InputField
          v-model.number="wanted.widthPhone"
          label="On a phone, px"
          min="40"
          max="4000"
          :fault="about('widthPhone')"
        />
      </div>
      <InputField
        v-model="wanted.selector"
        label="CSS selector"
        class="field font-mono"
        hint="Leave it empty unless the region alone does not tell: where it is given, it decides."
        :fault="about('selector')"
      />
      <label v-if="!placement" class="mb-4 flex items-center gap-2"
        ><input v-model="wanted.shared" type="checkbox" /> Every page of this site has it</label
      >
    </template>
    <template #beside>
      <RemoveIt v-if="placement" :id="placement.id" what="placement" @removed="emit('removed')"
        >Remove this placement</RemoveIt
      >
    </template>
  </SheetForm>
</template>

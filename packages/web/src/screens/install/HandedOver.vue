<script setup lang="ts">
import { computed, ref } from 'vue'
import type { InstallDetail } from '../../api/types'
import { sheetFileAddress, useSheetsOf } from '../../queries/handover'
import HandOver from '../handover/HandOver.vue'
import Sheets from '../handover/Sheets.vue'

/** Into the hands of whoever pastes it, or takes it out. */
const props = defineProps<{ install: InstallDetail }>()
const { data } = useSheetsOf(() => ({ installId: props.install.id }))
const isHanding = ref(false)
const mayHand = computed(
  () => props.install.status !== 'retired' && (props.install.retiring || props.install.status !== 'confirmed'),
)
const about = computed(() => {
  const { siteId, site, id, pageId, page, widget, retiring } = props.install
  return { siteId, site, retiring, install: { id, pageId, page, widget } }
})
const forms = { txt: 'text', md: 'Markdown', html: 'HTML' }
</script>

<template>
  <section v-if="mayHand || data?.rows.length" aria-labelledby="handed">
    <h2 id="handed" class="text-[17px] font-semibold">
      Somebody else {{ install.retiring ? 'takes it out' : 'pastes it' }}
    </h2>
    <p v-if="mayHand" class="mt-2 flex flex-wrap items-baseline gap-x-5 gap-y-1">
      <button type="button" class="word" @click="isHanding = true">Hand it over</button>
      <span class="text-[14px] text-soft"
        >or as a file:
        <template v-for="(name, form, i) in forms" :key="form"
          ><template v-if="i">, </template
          ><a class="word text-[14px]" :href="sheetFileAddress(install.id, form)" download>{{ name }}</a></template
        ></span
      >
    </p>
    <Sheets v-if="data?.rows.length" :sheets="data.rows" class="mt-3" />
    <HandOver v-if="isHanding" :about="about" @close="isHanding = false" />
  </section>
</template>

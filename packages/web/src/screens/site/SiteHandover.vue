<script setup lang="ts">
import { computed, ref } from 'vue'
import type { SiteDetail } from '../../api/types'
import { plural } from '../../parts/address'
import { useSheetsOf } from '../../queries/handover'
import HandOver from '../handover/HandOver.vue'
import People from '../handover/People.vue'
import Sheets from '../handover/Sheets.vue'

/** Who of the client does what, and what they have in hand. */
const props = defineProps<{ site: SiteDetail }>()
const { data } = useSheetsOf(() => ({ siteId: props.site.id }))
const panel = ref<'people' | 'paste' | 'kept' | null>(null)
const open = computed(() => data.value?.rows.filter((sheet) => sheet.isOpen) ?? [])
const waiting = computed(
  () => props.site.installs.filter(({ status }) => status === 'planned' || status === 'handed-over').length,
)
const about = computed(() => ({ siteId: props.site.id, site: props.site.name }))
</script>

<template>
  <section aria-labelledby="client-side">
    <h2 id="client-side" class="text-[17px] font-semibold">The client’s side</h2>
    <button type="button" class="word mt-2 block text-[14px]" @click="panel = 'people'">People of the client</button>
    <button v-if="waiting" type="button" class="word mt-2 block text-[14px]" @click="panel = 'paste'">
      Hand over what is open ({{ waiting }})
    </button>
    <button type="button" class="word mt-2 block text-[14px]" @click="panel = 'kept'">A page for the client</button>
    <details v-if="open.length" class="mt-3">
      <summary class="cursor-pointer text-[14px] text-soft">{{ plural(open.length, 'private link') }}</summary>
      <Sheets :sheets="open" class="mt-1" />
    </details>
    <People v-if="panel === 'people'" :site-id="site.id" @close="panel = null" />
    <HandOver v-if="panel === 'paste'" :about="about" @close="panel = null" />
    <HandOver v-if="panel === 'kept'" :about="{ ...about, kept: true }" @close="panel = null" />
  </section>
</template>

<script setup lang="ts">
import { ref } from 'vue'
import type { SiteDetail } from '../../api/types'
import InputField from '../../parts/InputField.vue'
import Labelled from '../../parts/Labelled.vue'
import RemoveIt from '../../parts/RemoveIt.vue'
import SheetForm from '../../parts/SheetForm.vue'
import SiteFields from '../../parts/SiteFields.vue'
import { changeSite, type SiteFacts } from '../../queries/sites'
import { emptyLook, lookFields } from './look-fields'

/** Corrects what is noted of a site: where and what it is, and how it looks. */
const props = defineProps<{ site: SiteDetail }>()
const emit = defineEmits<{ close: []; removed: [] }>()
const { name, origin, platform, cacheMinutes, timeZone, language, look } = props.site
const facts = ref<SiteFacts>({
  name,
  origin,
  platform: platform.id,
  cacheMinutes,
  timeZone,
  language: language ?? '',
})
const noted = ref<Record<string, string | number | null>>(
  Object.fromEntries(lookFields.map((field) => [field.name, (look ?? emptyLook)[field.name] ?? ''])),
)

/** A look is noted whole or not at all. */
function lookToKeep() {
  const given = Object.entries(noted.value).filter(([, value]) => value !== '' && value !== null)
  if (!given.length) return null
  const optional = new Set<string>(lookFields.filter((field) => field.optional).map((field) => field.name))
  // What may be empty is left out; what may not is said to be missing by the server.
  return Object.fromEntries(Object.entries(noted.value).filter(([name, value]) => value !== '' || !optional.has(name)))
}
const pasting = ref({ connector: props.site.connector, pasteNotes: props.site.pasteNotes })
const credited = ref(props.site.credited)
const keep = () =>
  changeSite(props.site.id, { ...facts.value, ...pasting.value, look: lookToKeep(), credited: credited.value })
</script>

<template>
  <SheetForm
    title="Correct what is noted"
    does="Keep these"
    wide
    :run="keep"
    @close="emit('close')"
    @done="emit('close')"
  >
    <template #default="{ about }">
      <div class="grid gap-x-9 sm:grid-cols-2">
        <div>
          <SiteFields v-model="facts" :site-id="site.id" :about="about" />
          <label v-if="site.platform.connector" class="mb-3 flex items-baseline gap-2 text-[14px]"
            ><input v-model="pasting.connector" type="checkbox" class="accent-kelp" /> A connector of ours is on there
            and replaces shortcodes</label
          >
          <Labelled
            v-slot="{ id, invalid, described }"
            label="For whoever pastes there"
            hint="Stands beside the steps, like: their developer calls it the yellow box."
            :fault="about('pasteNotes')"
          >
            <textarea
              :id="id"
              v-model="pasting.pasteNotes"
              rows="2"
              class="field w-full"
              :aria-invalid="invalid"
              :aria-describedby="described"
            />
          </Labelled>
          <label class="flex items-baseline gap-2 text-[14px]"
            ><input v-model="credited" type="checkbox" class="accent-kelp" /> The agency’s line stands below whatever is
            installed for {{ site.client }}</label
          >
        </div>
        <div>
          <p class="mb-4 text-[14px] text-soft">
            How the site looks, from its style sheet. The stage shows widgets in it, and frames wear it.
          </p>
          <template v-for="field in lookFields" :key="field.name">
            <InputField
              v-if="field.number"
              v-model.number="noted[field.name]"
              :label="field.label"
              :fault="about(`look.${field.name}`)"
            />
            <InputField
              v-else
              v-model="noted[field.name]"
              :label="field.label"
              :placeholder="field.example"
              :fault="about(`look.${field.name}`)"
            />
          </template>
        </div>
      </div>
    </template>
    <template #beside>
      <RemoveIt :id="site.id" what="site" @removed="emit('removed')">Remove this site</RemoveIt>
    </template>
  </SheetForm>
</template>

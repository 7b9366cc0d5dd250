<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { aboveFields } from '../../../api/error'
import { plural } from '../../../parts/address'
import Fault from '../../../parts/Fault.vue'
import InputField from '../../../parts/InputField.vue'
import PageWithRooms from '../../../parts/PageWithRooms.vue'
import { choiceOf, roomToKeep } from '../../../parts/room-choice'
import RoomList from '../../../parts/RoomList.vue'
import SiteFields from '../../../parts/SiteFields.vue'
import { useSubmission } from '../../../parts/submission'
import type { SiteRead } from '../../../queries/site-readings'
import { addSite, type SiteFacts } from '../../../queries/sites'

/** What was read of a site, shown for correction before it is added. */
const props = defineProps<{ readingId: string; read: SiteRead }>()
const emit = defineEmits<{ again: [] }>()
const router = useRouter()

const { name, origin, platform, cacheMinutes, language } = props.read
const client = ref(name.value)
const site = ref<SiteFacts>({
  name: name.value,
  origin,
  platform: platform.value,
  cacheMinutes: cacheMinutes.value,
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  language: language?.value ?? '',
})
const told = {
  name: from(name),
  origin: 'Where its first page answered.',
  platform: from(platform),
  cacheMinutes: from(cacheMinutes),
  timeZone: 'Assumed to be yours.',
  language: language ? from(language) : 'Nothing on its first page tells.',
}
function from({ from: where }: { from: string | null }) {
  return where ? `Read from ${where}.` : 'Assumed: nothing on its pages tells.'
}

/** What its navigation leads to is wanted at once; of many others each is there to be ticked. */
const FEW = 12
const isWanted = ({ from }: SiteRead['pages'][number]) =>
  props.read.pages.length <= FEW || from === 'its address' || from === 'its navigation'
const pages = ref(props.read.pages.map((page) => ({ ...page, kept: isWanted(page) })))
const rooms = ref(props.read.rooms.map(choiceOf))
const kept = computed(() => pages.value.filter((page) => page.kept).length)

const { busy, error, about, submit } = useSubmission(async () => {
  const { id } = await addSite({
    ...site.value,
    client: client.value,
    name: site.value.name || client.value,
    readingId: props.readingId,
    pages: pages.value.filter((page) => page.kept).map(({ title, path }) => ({ title, path })),
    rooms: rooms.value.flatMap((room, at) => (room.kept ? [roomToKeep(room, props.read.rooms[at])] : [])),
  })
  await router.push(`/sites/${id}`)
})
</script>

<template>
  <form novalidate @submit.prevent="submit">
    <Fault v-if="error" :error="aboveFields(error)" class="mb-4" />
    <ul v-if="read.notes.length" class="mb-4 border-l-4 border-ochre pl-4">
      <li v-for="note in read.notes" :key="note">{{ note }}</li>
    </ul>
    <div class="grid gap-x-9 gap-y-6 md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <div>
        <InputField
          v-model="client"
          label="Client"
          hint="Who pays. A new name makes a new client."
          :fault="about('client')"
        />
        <SiteFields v-model="site" :about="about" :told="told" />
      </div>
      <div>
        <template v-if="read.picture">
          <PageWithRooms :reading-id="readingId" :read="read" class="max-h-[420px]" />
          <p class="mt-1 text-[13px] text-soft">
            Its first page, {{ read.picture.width }} px wide, with the regions that can hold widgets. Measured on
            {{ read.measuredOn.join(', ') }}.
          </p>
        </template>
        <h3 class="mt-5 text-[17px] font-semibold">Pages</h3>
        <p class="text-[13.5px] text-soft">
          {{ kept }} of {{ plural(pages.length, 'page') }} kept; others can be added later.
        </p>
        <ul class="ledger mt-1 max-h-[260px] overflow-y-auto border-y border-rule" tabindex="0" aria-label="Pages">
          <li v-for="page in pages" :key="page.path" class="flex items-baseline gap-2 py-[5px]">
            <label class="flex min-w-0 flex-1 items-baseline gap-2"
              ><input v-model="page.kept" type="checkbox" /> <span class="truncate">{{ page.title }}</span>
              <span class="truncate font-mono text-[12.5px] text-soft">{{ page.path }}</span></label
            >
            <span class="text-[13px] whitespace-nowrap text-soft">{{ page.from }}</span>
          </li>
        </ul>
      </div>
    </div>
    <h3 class="mt-4 text-[17px] font-semibold">Regions</h3>
    <RoomList v-model="rooms" :about="about" />
    <div class="mt-5 flex flex-wrap items-center gap-x-5 gap-y-2">
      <button class="act" :disabled="busy">Add the site</button>
      <button type="button" class="word plain" @click="emit('again')">Read another address</button>
    </div>
  </form>
</template>

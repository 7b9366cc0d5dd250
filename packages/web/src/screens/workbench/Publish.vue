<script setup lang="ts">
import { routes, type Answer } from '@pebblestrand/contract'
import { computed, onMounted, ref } from 'vue'
import { ask } from '../../api/call'
import { say } from '../../frame/notices'
import { plural } from '../../parts/address'
import Labelled from '../../parts/Labelled.vue'
import SheetForm from '../../parts/SheetForm.vue'
import { useWorkbench } from '../../stores/workbench'

/** What publishing changes, before it does: where the release will be seen, and where it fits no more. */
const emit = defineEmits<{ close: [] }>()
const bench = useWorkbench()
const note = ref('')
const number = computed(() => (bench.newest?.number ?? 0) + 1)
const changes = ref<Answer<typeof routes.widgets.publishing> | null>(null)
const installs = computed(() => (changes.value?.sites ?? []).reduce((sum, site) => sum + site.installs, 0))

onMounted(async () => {
  await bench.saving.flush()
  changes.value = await ask(routes.widgets.publishing, { params: { id: bench.widget!.id } })
})

/** Somebody has read what would no longer go as expected. */
const despite = ref(false)

async function publish(): Promise<void> {
  const made = await bench.publish(note.value.trim(), despite.value)
  say(`Release ${made} is published.`, {
    remedy: bench.widget!.places.length ? 'Its installs show it from now on.' : 'Place it on a site’s page plan.',
  })
}
</script>

<template>
  <SheetForm
    v-slot="{ about }"
    :title="`Publish release ${number}`"
    :does="`Publish release ${number}`"
    :run="publish"
    @done="emit('close')"
    @close="emit('close')"
  >
    <p v-if="!changes" class="text-soft" role="status">Looking where it is seen …</p>
    <template v-else>
      <p v-if="!installs">Nobody sees it yet: it stands nowhere.</p>
      <template v-else>
        <p>
          <b>{{ plural(installs, 'install') }}</b> on {{ plural(changes.sites.length, 'site') }} will show it:
        </p>
        <ul
          class="ledger mt-2 max-h-[180px] overflow-auto border-t border-rule text-[14px]"
          tabindex="0"
          aria-label="Sites"
        >
          <li v-for="site in changes.sites" :key="site.id" class="flex justify-between py-1">
            <span>{{ site.name }}</span><span class="text-soft">{{ plural(site.installs, 'install') }}</span>
          </li>
        </ul>
      </template>
      <p v-if="changes.held" class="mt-2 text-soft">
        {{ plural(changes.held, 'install') }} {{ changes.held === 1 ? 'stays' : 'stay' }} at the release it is held at.
      </p>
      <template v-if="changes.misfits.length">
        <p class="mt-3 text-ochre">
          <b>{{ plural(changes.misfits.length, 'install') }}</b> would not fit any more:
        </p>
        <ul
          class="ledger mt-1 max-h-[180px] overflow-auto text-[14px]"
          tabindex="0"
          aria-label="Installs that would not fit"
        >
          <li v-for="misfit in changes.misfits" :key="misfit.installId" class="py-2">
            <b>{{ misfit.site }}</b>, {{ misfit.page }}, {{ misfit.placement }} ({{ misfit.width }} px).
            {{ misfit.says }}
          </li>
        </ul>
      </template>
    </template>
    <template v-if="changes?.broken.length">
      <p class="mt-3 text-coral">
        <b>{{ plural(changes.broken.length, 'visit') }}</b> kept with a site would no longer go as expected:
      </p>
      <ul class="ledger mt-1 max-h-[180px] overflow-auto text-[14px]" tabindex="0" aria-label="Visits not as expected">
        <li v-for="(one, i) in changes.broken" :key="i" class="py-2">
          <b>{{ one.name }}</b>: {{ one.says }}
          <RouterLink class="word" :to="`/sites/${one.siteId}/rehearsal?as=drafts&visitor=${one.id}`"
            >Rehearsal of {{ one.site }}</RouterLink
          >
        </li>
      </ul>
      <label class="mt-2 block text-[14px]"
        ><input v-model="despite" type="checkbox" class="accent-kelp" /> Publish it all the same</label
      >
    </template>
    <div class="mt-4">
      <Labelled v-slot="{ id, invalid, described }" label="A note with it, if you like" :fault="about('note')">
        <textarea
          :id="id"
          v-model="note"
          class="field"
          rows="2"
          maxlength="300"
          :aria-invalid="invalid"
          :aria-describedby="described"
        />
      </Labelled>
    </div>
  </SheetForm>
</template>

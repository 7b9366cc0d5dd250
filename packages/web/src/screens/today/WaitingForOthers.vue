<script setup lang="ts">
import { ref } from 'vue'
import { asApiError } from '../../api/error'
import { say, sayFault } from '../../frame/notices'
import { plural } from '../../parts/address'
import Pebble from '../../parts/Pebble.vue'
import { placeSaid } from '../../parts/place'
import { remindOf } from '../../queries/handover'
import { daysSince, type Waited } from './others'

/** What somebody else has in hand, by person and age. */
defineProps<{ waited: Waited[] }>()
const busy = ref('')
async function remind(one: Waited): Promise<void> {
  busy.value = one.key
  try {
    for (const id of one.sheetIds) await remindOf(id)
    say(`${one.to} is reminded.`)
  } catch (error) {
    sayFault(asApiError(error))
  }
  busy.value = ''
}
</script>

<template>
  <section class="mt-6 grid gap-x-[18px] sm:grid-cols-[118px_minmax(0,1fr)]" aria-labelledby="with-others">
    <h2 id="with-others" class="border-t border-ink pt-[10px] text-[16px] font-semibold">Others have it</h2>
    <ul class="ledger border-ink sm:border-t">
      <li v-for="one in waited" :key="one.key" class="py-[9px]" data-thing>
        <p class="flex flex-wrap gap-x-4">
          <span class="min-w-0 flex-1"
            >Waiting for <b>{{ one.to || 'whoever has the link' }}</b> at
            <RouterLink :to="`/sites/${one.siteId}`" class="font-bold text-ink no-underline hover:underline">{{
              one.site
            }}</RouterLink>: {{ plural(one.installs.length, 'install') }},
            {{ daysSince(one.since) ? plural(daysSince(one.since), 'day') : 'since today' }}.</span
          >
          <button
            v-if="one.mayRemind"
            type="button"
            data-actions
            class="word whitespace-nowrap"
            :disabled="busy === one.key"
            :aria-label="`Remind ${one.to} of ${one.site}`"
            @click="remind(one)"
          >
            {{ busy === one.key ? 'One moment …' : 'Remind' }}
          </button>
        </p>
        <ul>
          <li
            v-for="install in one.installs"
            :key="install.id"
            class="flex flex-wrap items-baseline gap-x-3 py-[3px] text-[14px]"
          >
            <Pebble :status="install.status" :seed="install.id" :size="15" class="self-center" />
            <span class="min-w-0 flex-1"
              >{{ install.widget }}, {{ install.page }}, {{ placeSaid(install)
              }}<span v-if="install.handed?.trouble" class="text-coral">: “{{ install.handed.trouble }}”</span></span
            >
            <RouterLink
              :to="`/installs/${install.id}`"
              class="word text-[14px]"
              :aria-label="`${install.retiring ? 'Take it out myself' : 'Paste it myself'}: ${install.widget} on ${install.site}`"
              >{{ install.retiring ? 'Take it out myself' : 'Paste it myself' }}</RouterLink
            >
          </li>
        </ul>
      </li>
    </ul>
  </section>
</template>

<script setup lang="ts">
import { ref } from 'vue'
import Fault from '../../parts/Fault.vue'
import Pager from '../../parts/Pager.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import Waiting from '../../parts/Waiting.vue'
import { useSignIns } from '../../queries/account'

const page = ref(1)
const { data: list, error, refetch } = useSignIns(() => page.value)

/** What happened, in words, and whether it deserves a second look. */
const words = {
  'signed-in': { text: 'signed in', odd: false },
  'sign-in-failed': { text: 'a sign-in failed', odd: true },
  'locked-out': { text: 'too many tries: strangers had to wait', odd: true },
  'password-changed': { text: 'the password was changed', odd: false },
}
</script>

<template>
  <section aria-labelledby="sign-ins">
    <h2 id="sign-ins" class="text-[19px] font-semibold">What happened at your account</h2>
    <Fault v-if="error" :error="error" :retry="refetch" class="mt-3" />
    <Waiting v-else-if="!list" doing="Reading what happened" />
    <template v-else>
      <p v-if="!list.rows.length" class="mt-2 border-t border-ink pt-3 text-soft">Nothing yet.</p>
      <ol v-else class="ledger mt-2 border-t border-ink">
        <li
          v-for="(row, at) in list.rows"
          :key="at"
          class="grid grid-cols-1 items-baseline gap-x-6 gap-y-1 py-2 sm:grid-cols-[110px_minmax(0,1fr)_minmax(0,1fr)]"
        >
          <TimeAgo :at="row.at" class="text-[14px] text-soft" />
          <span :class="{ 'font-bold text-coral': words[row.event].odd }">{{ words[row.event].text }}</span>
          <span class="truncate text-[13px] text-soft" :title="row.browser"
            >{{ row.address ? `from ${row.address}` : '' }} {{ row.browser }}</span
          >
        </li>
      </ol>
      <Pager :page="list.page" :size="list.size" :total="list.total" @go="page = $event" />
    </template>
  </section>
</template>

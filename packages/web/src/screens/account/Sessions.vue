<script setup lang="ts">
import { ref } from 'vue'
import { asApiError } from '../../api/error'
import { say, sayFault } from '../../frame/notices'
import { plural } from '../../parts/address'
import Fault from '../../parts/Fault.vue'
import { shortTime } from '../../parts/time'
import TimeAgo from '../../parts/TimeAgo.vue'
import Waiting from '../../parts/Waiting.vue'
import { endOtherSessions, endSession, useSessions } from '../../queries/account'

const { data: list, error, refetch } = useSessions()
const busy = ref(false)

async function end(run: () => Promise<string>): Promise<void> {
  busy.value = true
  try {
    say(await run())
  } catch (e) {
    sayFault(asApiError(e))
  } finally {
    busy.value = false
  }
}
const one = (id: string) => end(async () => (await endSession(id), 'That browser is signed out.'))
const others = () => end(async () => `${plural(await endOtherSessions(), 'other session')} ended.`)
</script>

<template>
  <section aria-labelledby="sessions">
    <div class="flex flex-wrap items-baseline gap-x-5">
      <h2 id="sessions" class="text-[19px] font-semibold">Where you are signed in</h2>
      <button v-if="list && list.rows.length > 1" type="button" class="word ml-auto" :disabled="busy" @click="others">
        Sign out everywhere else
      </button>
    </div>
    <Fault v-if="error" :error="error" :retry="refetch" class="mt-3" />
    <Waiting v-else-if="!list" doing="Reading your sessions" />
    <ul v-else class="ledger mt-2 border-t border-ink">
      <li
        v-for="session in list.rows"
        :key="session.id"
        class="grid grid-cols-1 items-baseline gap-x-6 gap-y-1 py-3 sm:grid-cols-[minmax(0,1fr)_190px_90px]"
      >
        <span class="min-w-0">
          <b v-if="session.own">This browser</b>
          <span class="block truncate text-[13px] text-soft" :title="session.browser">{{
            session.browser || 'A browser that does not say what it is'
          }}</span>
        </span>
        <span class="text-[14px] text-soft">
          used <TimeAgo :at="session.seenAt" /><br />until {{ shortTime(session.endsAt) }}
        </span>
        <button
          v-if="!session.own"
          type="button"
          class="word justify-self-start sm:justify-self-end"
          :disabled="busy"
          :aria-label="`Sign out ${session.browser}`"
          @click="one(session.id)"
        >
          Sign out
        </button>
      </li>
    </ul>
  </section>
</template>

<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { asApiError } from '../../api/error'
import { say, sayFault } from '../../frame/notices'
import Fault from '../../parts/Fault.vue'
import Waiting from '../../parts/Waiting.vue'
import { bringPlatform, usePlatforms } from '../../queries/platforms'
import CopyPlatform from './CopyPlatform.vue'

/** What sites can be built with: profiles that ship, and the agency's own. */
const { data, error, refetch } = usePlatforms()
const router = useRouter()
const copying = ref<{ id: string; name: string } | null>(null)
const plural = (n: number) => `${n} ${n === 1 ? 'site' : 'sites'}`

async function bring(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (file)
    await file
      .text()
      .then(bringPlatform)
      .then(({ key }) => {
        say(`${file.name} is one of your platforms now.`)
        return router.push(`/platforms/${key}`)
      })
      .catch((e: unknown) => sayFault(asApiError(e)))
  input.value = ''
}
</script>

<template>
  <div class="px-4 py-6 lg:px-8">
    <div class="flex flex-wrap items-baseline gap-x-6 gap-y-1">
      <h1 class="text-[27px] font-bold">Platforms</h1>
      <p class="max-w-[62ch] text-soft">What each editor accepts, and how one pastes and publishes there.</p>
    </div>
    <Fault v-if="error" :error="error" :retry="refetch" class="mt-6" />
    <Waiting v-else-if="!data" doing="Fetching the platforms" class="mt-6" />
    <template v-else>
      <ul class="ledger mt-5 max-w-[860px] border-y border-rule">
        <li v-for="row in data.rows" :key="row.id" class="flex flex-wrap items-baseline gap-x-4 gap-y-1 py-[10px]">
          <RouterLink :to="`/platforms/${row.id}`" class="font-semibold text-ink underline underline-offset-3">{{
            row.name
          }}</RouterLink>
          <span class="text-[14px] text-soft">
            <template v-if="row.own"
              >your copy of {{ row.own.from }}<template v-if="row.own.site">, for {{ row.own.site }} alone</template
              ><template v-if="row.sites">; </template></template
            ><template v-if="row.sites">{{ plural(row.sites) }}</template>
          </span>
          <button
            type="button"
            class="word ml-auto text-[14px]"
            :aria-label="`Copy ${row.name}`"
            @click="copying = row"
          >
            Copy
          </button>
        </li>
      </ul>
      <label class="word mt-4 inline-block cursor-pointer text-[14px] focus-within:outline-2"
        >Bring in a profile from a file
        <input type="file" accept=".json,application/json" class="sr-only" @change="bring" />
      </label>
    </template>
    <CopyPlatform v-if="copying" :from="copying" @close="copying = null" />
  </div>
</template>

<script setup lang="ts">
import { heldReasons, leadStates } from '@pebblestrand/contract'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { plural } from '../../parts/address'
import Labelled from '../../parts/Labelled.vue'
import ListPage from '../../parts/ListPage.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import { leadsFile, useLeads, type LeadFilter } from '../../queries/forms'
import Erase from './Erase.vue'
import LeadActions from './LeadActions.vue'

/** What visitors sent, the newest first; what it is narrowed to stands in the address. */
const PER_PAGE = 40
const route = useRoute()
const router = useRouter()
const own = route.path
const filters = shallowRef({ ...route.query } as Record<string, string>)
watch(
  () => route.query,
  (now) => route.path === own && (filters.value = { ...now } as Record<string, string>),
)
const names = ['q', 'widgetId', 'siteId', 'path', 'state', 'from', 'until', 'tests'] as const
const filter = computed(
  () =>
    Object.fromEntries(
      names.flatMap((name) => (filters.value[name] ? [[name, filters.value[name]]] : [])),
    ) as unknown as LeadFilter,
)
const {
  data: list,
  error,
  refetch,
} = useLeads(
  () =>
    ({
      ...(filter.value as object),
      page: Number(filters.value.page ?? 1),
      size: PER_PAGE,
    }) as never,
)
const show = (change: Record<string, string | undefined>) =>
  router.replace({ query: { ...route.query, page: undefined, ...change } })
const typed = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value || undefined
const isNarrowed = computed(() => Object.keys(filter.value ?? {}).length > 0)
const erasing = ref(false)
const where = ({ site, path }: { site: string; path: string }) => [site, path].filter(Boolean).join(', ')
</script>

<template>
  <ListPage
    title="Answers"
    :list="list"
    :error="error"
    :retry="refetch"
    waiting="Reading what visitors sent"
    :empty="
      isNarrowed
        ? 'Nothing is like that. Take a filter away.'
        : 'What visitors write into forms stands here. Begin a form under Widgets, or give something over the page fields.'
    "
  >
    <template #aside>
      <p v-if="list" class="mt-2 text-soft" role="status">
        {{ plural(list.total, 'answer') }}.
        <template v-if="list.held && filters.state !== 'held'"
          ><br /><button type="button" class="word plain" @click="show({ state: 'held' })">
            {{ list.held }} held back
          </button></template
        >
      </p>
      <div v-if="list" class="mt-4">
        <Labelled v-slot="{ id }" label="Only those with">
          <input :id="id" class="field" type="search" :value="filters.q ?? ''" @change="show({ q: typed($event) })" />
        </Labelled>
        <Labelled v-slot="{ id }" label="Form">
          <select :id="id" class="field" :value="filters.widgetId ?? ''" @change="show({ widgetId: typed($event) })">
            <option value="">any</option>
            <option v-for="form in list.forms" :key="form.id" :value="form.id">{{ form.name }}</option>
          </select>
        </Labelled>
        <Labelled v-slot="{ id }" label="Site">
          <select :id="id" class="field" :value="filters.siteId ?? ''" @change="show({ siteId: typed($event) })">
            <option value="">any</option>
            <option v-for="site in list.sites" :key="site.id" :value="site.id">{{ site.name }}</option>
          </select>
        </Labelled>
        <Labelled v-slot="{ id }" label="Page">
          <input
            :id="id"
            class="field"
            placeholder="/path"
            :value="filters.path ?? ''"
            @change="show({ path: typed($event) })"
          />
        </Labelled>
        <Labelled v-slot="{ id }" label="State">
          <select :id="id" class="field" :value="filters.state ?? ''" @change="show({ state: typed($event) })">
            <option value="">new and done</option>
            <option v-for="(words, state) in leadStates" :key="state" :value="state">{{ words }}</option>
          </select>
        </Labelled>
        <Labelled v-slot="{ id }" label="From">
          <input
            :id="id"
            class="field"
            type="date"
            :value="filters.from ?? ''"
            @change="show({ from: typed($event) })"
          />
        </Labelled>
        <Labelled v-slot="{ id }" label="Until">
          <input
            :id="id"
            class="field"
            type="date"
            :value="filters.until ?? ''"
            @change="show({ until: typed($event) })"
          />
        </Labelled>
        <label class="flex items-center gap-2 text-[14px]"
          ><input
            type="checkbox"
            class="accent-kelp"
            :checked="filters.tests === '1'"
            @change="show({ tests: filters.tests ? undefined : '1' })"
          />
          tests too</label
        >
        <p class="mt-4"><a :href="leadsFile(filter, 'csv')" class="word plain" download>Save them as CSV</a></p>
        <p class="mt-1"><a :href="leadsFile(filter, 'json')" class="word plain" download>Save them as JSON</a></p>
        <p class="mt-4">
          <button type="button" class="word plain" @click="erasing = true">Delete what is held of somebody</button>
        </p>
      </div>
    </template>
    <template #default="{ rows }">
      <ul class="ledger border-t border-ink">
        <li
          v-for="lead in rows"
          :key="lead.id"
          class="grid gap-x-7 gap-y-1 py-3 md:grid-cols-[minmax(0,1fr)_230px]"
          data-thing
        >
          <div class="min-w-0">
            <RouterLink :to="`/results/leads/${lead.id}`" class="text-ink no-underline hover:underline">
              <b class="block break-words">{{ lead.says[0]?.says }}</b>
              <span
                v-for="one in lead.says.slice(1)"
                :key="one.label"
                class="mr-4 inline-block max-w-full align-top break-words"
                ><span class="text-[13px] text-soft">{{ one.label }}</span> {{ one.says }}</span
              >
              <span v-if="!lead.says.length" class="text-soft">only ticked</span>
            </RouterLink>
            <p v-if="lead.heldFor" class="text-[13.5px] text-ochre">Held back: {{ heldReasons[lead.heldFor] }}</p>
          </div>
          <div class="min-w-0 text-[13.5px] text-soft">
            <p>
              <b
                v-if="lead.state !== 'done'"
                :class="lead.state === 'new' ? 'text-tide' : lead.state === 'held' ? 'text-ochre' : 'text-soft'"
                >{{ leadStates[lead.state] }}</b><template v-else>done</template
              ><template v-if="lead.isTest">, a test</template>, <TimeAgo :at="lead.at" />
            </p>
            <p class="break-words">
              <RouterLink :to="`/widgets/${lead.widgetId}/answers`" class="text-soft underline underline-offset-3">{{
                lead.widget
              }}</RouterLink><template v-if="where(lead)"> on {{ where(lead) }}</template>
            </p>
            <LeadActions :lead="lead" class="mt-1" />
          </div>
        </li>
      </ul>
    </template>
  </ListPage>
  <Erase v-if="erasing" @close="erasing = false" />
</template>

<script setup lang="ts">
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { plural } from '../../parts/address'
import ListAside from '../../parts/ListAside.vue'
import ListPage from '../../parts/ListPage.vue'
import ExampleMark from '../../parts/ExampleMark.vue'
import Thumbnail from '../../parts/Thumbnail.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import { useListAddress } from '../../parts/list-address'
import { useWidgetList, type WidgetFilters } from '../../queries/widgets'
import { filterNames } from './filters'
import NewWidget from './NewWidget.vue'
import WidgetActions from './WidgetActions.vue'
import WidgetListFilters from './WidgetListFilters.vue'

const PER_PAGE = 24
const asked = useListAddress()
const route = useRoute()
const router = useRouter()
/** Narrowed by what the address says. */
const narrowed = computed(
  () => Object.fromEntries(filterNames.map((name) => [name, String(route.query[name] ?? '')])) as WidgetFilters,
)
const { data: list, error, refetch } = useWidgetList(() => ({ ...asked.value, ...narrowed.value, size: PER_PAGE }))
const verbs: Record<string, string> = {
  created: 'made',
  copied: 'made as a copy',
  published: 'published',
  restored: 'an older release brought back',
  renamed: 'renamed',
  'put-away': 'put away',
  'taken-back': 'taken back',
}
const lastSaid = (verb: string) => verbs[verb] ?? 'changed'
const making = (open: boolean) => router.replace({ query: { ...route.query, new: open ? '1' : undefined } })
</script>

<template>
  <ListPage
    title="Widgets"
    :list="list"
    :error="error"
    :retry="refetch"
    waiting="Drawing the widgets"
    empty="Widgets you make stand here, as they look on a page, with where each is used."
    empty-for="No widget is called that and is as the filters want it."
  >
    <template #aside>
      <ListAside :total="list?.total" one="widget" adds="Make a widget" @add="making(true)">
        <WidgetListFilters class="mt-5" :filters="narrowed" />
        <p class="mt-5"><RouterLink to="/sources" class="word">Sources, and how they are</RouterLink></p>
      </ListAside>
    </template>
    <template #default="{ rows }">
      <ul class="grid gap-x-8 sm:grid-cols-2">
        <li
          v-for="widget in rows"
          :key="widget.id"
          class="grid grid-cols-[170px_minmax(0,1fr)] gap-5 border-t border-rule py-5"
          data-thing
        >
          <RouterLink
            :to="`/widgets/${widget.id}`"
            tabindex="-1"
            aria-hidden="true"
            class="relative block border border-rule no-underline"
          >
            <Thumbnail :thumbnail="widget.thumbnail" :width="308" :scale="0.5" class="h-[150px] p-[7px]" />
            <ExampleMark v-if="widget.example" class="right-0 bottom-0" />
          </RouterLink>
          <div class="min-w-0">
            <RouterLink
              :to="`/widgets/${widget.id}`"
              class="font-display text-[18px] leading-tight font-semibold text-ink no-underline hover:underline"
              >{{ widget.name }}</RouterLink
            >
            <p class="mt-1 text-[13.5px]">
              <span v-if="widget.release === null" class="font-bold text-heather">draft, no release yet</span>
              <span v-else-if="widget.changes" class="font-bold text-heather"
                >draft, {{ plural(widget.changes, 'change') }} since release {{ widget.release }}</span
              >
              <span v-else>release {{ widget.release }}</span>
            </p>
            <p class="mt-1 text-[13.5px] text-soft">
              <RouterLink
                v-if="widget.installs"
                :to="`/installs?widgetId=${widget.id}`"
                class="text-soft underline underline-offset-3"
                >{{ plural(widget.installs, 'install') }} on {{ plural(widget.sites, 'site') }}</RouterLink
              >
              <template v-else>not placed anywhere</template><br />
              <template v-if="widget.last"
                >{{ lastSaid(widget.last.verb) }} <TimeAgo :at="widget.last.at" /><template v-if="widget.last.by"
                  >, {{ widget.last.by }}</template
                ></template
              >
              <template v-else>changed <TimeAgo :at="widget.draftSavedAt" /></template>
            </p>
            <WidgetActions :widget="widget" class="mt-1" />
          </div>
        </li>
      </ul>
    </template>
  </ListPage>
  <NewWidget v-if="route.query.new === '1'" @close="making(false)" />
</template>

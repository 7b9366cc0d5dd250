<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { ApiError } from '../../api/error'
import { asApiError } from '../../api/error'
import { plural } from '../../parts/address'
import Fault from '../../parts/Fault.vue'
import Pager from '../../parts/Pager.vue'
import Thumbnail from '../../parts/Thumbnail.vue'
import TimeAgo from '../../parts/TimeAgo.vue'
import Waiting from '../../parts/Waiting.vue'
import { useWidgets } from '../../stores/widgets'
import NewWidget from './NewWidget.vue'

const widgets = useWidgets()
const route = useRoute()
const router = useRouter()
const error = ref<ApiError | null>(null)
const q = computed(() => String(route.query.q ?? ''))
const page = computed(() => Number(route.query.page ?? 1))

const load = () =>
  widgets.load(q.value, page.value).then(
    () => (error.value = null),
    (e: unknown) => (error.value = asApiError(e)),
  )
const show = (change: Record<string, string | undefined>) => router.replace({ query: { ...route.query, ...change } })
watch([q, page], load, { immediate: true })
</script>

<template>
  <div class="grid gap-x-9 gap-y-6 px-4 py-7 lg:grid-cols-[190px_minmax(0,1fr)] lg:px-8">
    <div>
      <h1 class="text-[31px] font-bold">Widgets</h1>
      <p v-if="widgets.list" class="mt-2 text-soft">
        {{ plural(widgets.list.total, 'widget') }}{{ q ? ` with “${q}”` : '' }}.
      </p>
      <label class="label mt-5 block" for="widget-words">Only those with</label>
      <input
        id="widget-words"
        class="field"
        type="search"
        :value="q"
        @change="show({ q: ($event.target as HTMLInputElement).value || undefined, page: undefined })"
      />
      <button type="button" class="act mt-6" @click="show({ new: '1' })">Make a widget</button>
      <p class="mt-5"><RouterLink to="/removed" class="word plain">Removed lately</RouterLink></p>
    </div>
    <div class="min-w-0">
      <Fault v-if="error" :error="error" :retry="load" />
      <Waiting v-else-if="!widgets.list" doing="Drawing the widgets" />
      <p v-else-if="!widgets.list.rows.length" class="border-t border-ink pt-4">
        {{
          q
            ? 'No widget is called that.'
            : 'Widgets you make stand here, as they look on a page, with where each is used.'
        }}
      </p>
      <ul v-else class="grid gap-x-8 sm:grid-cols-2">
        <li
          v-for="widget in widgets.list.rows"
          :key="widget.id"
          class="grid grid-cols-[170px_minmax(0,1fr)] gap-5 border-t border-rule py-5"
          data-thing
        >
          <RouterLink
            :to="`/widgets/${widget.id}`"
            tabindex="-1"
            aria-hidden="true"
            class="block border border-rule no-underline"
          >
            <Thumbnail :payload="widget.payload" :width="308" :scale="0.5" class="h-[150px] p-[7px]" />
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
              changed <TimeAgo :at="widget.draftSavedAt" />
            </p>
          </div>
        </li>
      </ul>
      <Pager
        v-if="widgets.list"
        :page="widgets.list.page"
        :size="widgets.list.size"
        :total="widgets.list.total"
        @go="show({ page: String($event) })"
      />
    </div>
    <NewWidget v-if="route.query.new === '1'" @close="show({ new: undefined })" />
  </div>
</template>

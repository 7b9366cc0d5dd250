<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { asApiError } from '../../api/error'
import type { Page, Placement, WidgetRow } from '../../api/types'
import { say, sayFault } from '../../frame/notices'
import Fault from '../../parts/Fault.vue'
import Waiting from '../../parts/Waiting.vue'
import { planInstall } from '../../queries/installs'
import { changed } from '../../queries/query'
import { takeOut } from '../../queries/removals'
import { useSite } from '../../queries/sites'
import { routes } from '@pebblestrand/contract'
import EditPage from './EditPage.vue'
import EditPlacement from './EditPlacement.vue'
import EditSite from './EditSite.vue'
import PageList from './PageList.vue'
import PagePlan from './PagePlan.vue'
import { firstPage, placementsOf } from './pages'
import ReadAgain from './ReadAgain.vue'
import SiteFacts from './SiteFacts.vue'
import SiteHandover from './SiteHandover.vue'
import TakeLook from './TakeLook.vue'
import Tray from './Tray.vue'

const props = defineProps<{ id: string }>()
const route = useRoute()
const router = useRouter()
const { data: site, error, refetch } = useSite(() => props.id)
const lifted = ref<WidgetRow | null>(null)
const panel = ref<
  | { kind: 'site' }
  | { kind: 'read' }
  | { kind: 'look' }
  | { kind: 'page'; page: Page | null }
  | { kind: 'placement'; placement: Placement | null }
  | null
>(null)

const page = computed(
  () => site.value?.pages.find((p) => p.id === route.query.page) ?? (site.value ? firstPage(site.value) : undefined),
)
const placements = computed(() => (site.value && page.value ? placementsOf(site.value, page.value) : []))

watch(site, (now) => now && (document.title = `${now.name} · Pebblestrand`))

/** It never was there: the plan is taken out of the register. */
async function takeBack(installId: string): Promise<void> {
  await takeOut('install', installId)
  await changed(routes.sites.read, routes.sites.list)
}

async function afterRemoval(what: 'site' | 'page' | 'placement'): Promise<void> {
  panel.value = null
  if (what === 'site') return void (await router.push('/sites'))
}

async function place(widget: WidgetRow, placement: Placement | null): Promise<void> {
  try {
    const { id } = await planInstall({
      widgetId: widget.id,
      pageId: page.value!.id,
      placementId: placement?.id ?? null,
    })
    say(`${widget.name} is planned for ${placement?.name ?? 'over the page'}.`, {
      undo: () => void takeBack(id).catch((e: unknown) => sayFault(asApiError(e))),
    })
  } catch (e) {
    const fault = asApiError(e)
    const there = (fault.data as { installId?: string } | null)?.installId
    if (fault.code === 'already-planned' && there) await router.push(`/installs/${there}`)
    sayFault(fault)
  }
}
</script>

<template>
  <Fault v-if="error" :error="error" :retry="refetch" class="m-8" />
  <Waiting v-else-if="!site || !page" doing="Drawing the page plan" class="px-8" />
  <div
    v-else
    class="grid min-h-[calc(100dvh-56px)] lg:grid-cols-[212px_minmax(0,1fr)] xl:grid-cols-[212px_minmax(0,1fr)_262px]"
  >
    <div class="px-4 py-5 lg:border-r border-rule lg:pr-[18px] lg:pl-8">
      <p class="text-[13.5px] text-soft">{{ site.client }}</p>
      <h1 class="mb-4 text-[25px] font-bold break-words">{{ site.name }}</h1>
      <PageList :site="site" :chosen="page" @add="panel = { kind: 'page', page: null }" />
    </div>

    <div class="min-w-0 px-4 py-5 lg:px-[26px]">
      <div class="mb-5 flex flex-wrap items-baseline gap-x-4">
        <h2 class="text-[22px] font-bold">{{ page.title }}</h2>
        <button
          type="button"
          class="cursor-pointer font-mono text-[13px] text-soft underline decoration-dotted underline-offset-3"
          :aria-label="`Correct the path ${page.path}`"
          @click="panel = { kind: 'page', page: page! }"
        >
          {{ page.path }}
        </button>
        <span class="ml-auto text-[13px] text-soft">drawn to scale, 1280 px wide</span>
      </div>
      <PagePlan
        :site="site"
        :page="page"
        :offered="lifted"
        @drop="place"
        @edit="panel = { kind: 'placement', placement: $event }"
      />
      <Tray
        :placements="placements"
        :site-id="site.id"
        class="mt-6"
        @lift="lifted = $event"
        @place="place"
        @add-placement="panel = { kind: 'placement', placement: null }"
      />
    </div>

    <div class="border-rule px-4 py-5 lg:col-start-2 xl:col-start-auto xl:border-l xl:pr-8 xl:pl-5">
      <SiteFacts
        :site="site"
        @edit="panel = { kind: 'site' }"
        @read="panel = { kind: 'read' }"
        @look="panel = { kind: 'look' }"
      />
      <p class="mt-4">
        <RouterLink :to="`/sites/${site.id}/rehearsal`" class="word text-[14px]">Rehearsal</RouterLink>
      </p>
      <SiteHandover :site="site" class="mt-8" />
    </div>
    <TakeLook v-if="panel?.kind === 'look'" :site="site" @close="panel = null" />
    <ReadAgain v-if="panel?.kind === 'read'" :site="site" @close="panel = null" />
    <EditSite v-if="panel?.kind === 'site'" :site="site" @close="panel = null" @removed="afterRemoval('site')" />
    <EditPage
      v-if="panel?.kind === 'page'"
      :site-id="site.id"
      :page="panel.page"
      :pages="site.pages"
      @close="panel = null"
      @added="router.push({ query: { page: $event } })"
      @removed="afterRemoval('page')"
    />
    <EditPlacement
      v-if="panel?.kind === 'placement'"
      :site-id="site.id"
      :placement="panel.placement"
      :page="page"
      @close="panel = null"
      @removed="afterRemoval('placement')"
    />
  </div>
</template>

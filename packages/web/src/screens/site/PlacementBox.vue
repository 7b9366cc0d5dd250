<script setup lang="ts">
import { dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import type { InstallOnSite, Page, Placement, Thumbnail, WidgetRow } from '../../api/types'
import { fitOf, sizeWords } from '../../parts/fit'
import PlacedWidget from './PlacedWidget.vue'

/** One placement on the page plan, drawn to scale, with what sits in it. A widget dragged over it is told at once whether it fits. */
const props = defineProps<{
  placement: Placement
  installs: InstallOnSite[]
  page: Page
  offered: WidgetRow | null
  thumbnails: Record<string, Thumbnail>
  tall?: boolean
}>()
const emit = defineEmits<{ drop: [widget: WidgetRow]; edit: []; widen: [width: number] }>()

const box = ref<HTMLElement | null>(null)
const over = ref(false)
let stop = () => {}

onMounted(() => {
  stop = dropTargetForElements({
    element: box.value!,
    canDrop: ({ source }) => source.data.widget !== undefined,
    onDragEnter: () => (over.value = true),
    onDragLeave: () => (over.value = false),
    onDrop: ({ source }) => {
      over.value = false
      emit('drop', source.data.widget as WidgetRow)
    },
  })
})
onBeforeUnmount(() => stop())

const verdict = computed(() =>
  over.value && props.offered ? fitOf(props.offered.kind, props.offered.settings, props.placement.width) : null,
)
/** Of what stands there, what fitted the width that was read and does not fit the one that was seen. */
const unfit = computed(() => {
  const { width, widthSeen } = props.placement
  if (!widthSeen) return []
  const fits = ({ kind, settings }: InstallOnSite, px: number) => fitOf(kind, settings, px)?.verdict === 'fits'
  return props.installs.filter((one) => fits(one, width) && !fits(one, widthSeen)).map(({ widget }) => widget)
})
const size = computed(() =>
  verdict.value && props.offered ? sizeWords(props.offered, verdict.value, props.placement.width) : '',
)
</script>

<template>
  <section
    ref="box"
    class="min-w-0 px-[10px] pt-[7px] pb-3"
    :class="[over ? 'bg-kelp/12 outline outline-kelp' : '', tall ? 'min-h-[226px]' : 'min-h-[34px]']"
    :aria-label="`${placement.name}, ${placement.width} px wide`"
    :data-placement="placement.name"
  >
    <h3 class="flex items-baseline gap-2 font-sans text-[12.5px] font-semibold tracking-normal text-soft">
      <span class="truncate"
        >{{ placement.name
        }}<template v-if="placement.pageId === null && (placement.region === 'header' || placement.region === 'footer')"
          >, every page</template
        ></span
      >
      <button
        type="button"
        class="-my-1 ml-auto min-h-6 cursor-pointer whitespace-nowrap tabular-nums underline decoration-dotted underline-offset-3"
        :aria-label="`Change ${placement.name}: ${placement.width} px`"
        @click="emit('edit')"
      >
        {{ placement.known === 'assumed' ? 'about ' : '' }}{{ placement.width }} px
      </button>
    </h3>
    <p v-if="placement.widthSeen" class="mt-1 text-[13px] leading-[1.4] text-ochre">
      {{ placement.widthSeen }} px wide at the last look<template v-if="unfit.length"
        >: {{ unfit.join(', ') }} no longer {{ unfit.length === 1 ? 'fits' : 'fit' }}</template
      >.
      <button type="button" class="word text-[13px]" @click="emit('widen', placement.widthSeen!)">
        Note {{ placement.widthSeen }} px
      </button>
    </p>
    <ul>
      <PlacedWidget
        v-for="install in installs"
        :key="install.id"
        :install="install"
        :page="page"
        :placement="placement"
        :thumbnails="thumbnails"
      />
    </ul>
    <div
      v-if="over && offered"
      class="mt-2 text-[13.5px] leading-[1.4]"
      :class="verdict?.verdict === 'too-narrow' ? 'text-coral' : 'text-kelp'"
    >
      <p class="font-bold">
        Drop here: {{ verdict?.head.toLowerCase().replace(/\.$/, '') ?? 'its width is not known' }}.
      </p>
      <p>{{ verdict?.verdict === 'fits' ? `${size}.` : verdict?.says }}</p>
    </div>
  </section>
</template>

<script setup lang="ts">
import { useRouter } from 'vue-router'
import { asApiError } from '../../api/error'
import type { WidgetRow } from '../../api/types'
import { say, sayFault } from '../../frame/notices'
import { copyWidget, putAway } from '../../queries/widgets'

/** Another like it, or out of the list; where it stands it is shown all the same. */
const props = defineProps<{ widget: WidgetRow }>()
const router = useRouter()
const attempt = (action: Promise<unknown>) => action.catch((e: unknown) => sayFault(asApiError(e)))

const copy = () => attempt(copyWidget(props.widget.id).then(({ id }) => router.push(`/widgets/${id}`)))
const away = (to: boolean) =>
  attempt(
    putAway(props.widget.id, to).then(() =>
      say(to ? `${props.widget.name} is put away.` : `${props.widget.name} is back.`, {
        remedy: to && props.widget.installs ? 'Where it stands it is shown all the same.' : '',
        undo: () => void away(!to),
      }),
    ),
  )
</script>

<template>
  <p class="flex gap-x-4 text-[13.5px]">
    <button type="button" class="word text-[13.5px]" :aria-label="`Another like it: ${widget.name}`" @click="copy">
      Another like it
    </button>
    <button
      type="button"
      class="word plain text-[13.5px]"
      :aria-label="`${widget.away ? 'Take back' : 'Put away'} ${widget.name}`"
      @click="away(!widget.away)"
    >
      {{ widget.away ? 'Take back' : 'Put away' }}
    </button>
  </p>
</template>

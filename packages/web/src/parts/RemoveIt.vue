<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { ApiError, asApiError } from '../api/error'
import type { Foresight, Removable } from '../api/types'
import { sayFault } from '../frame/notices'
import { sayRemoved } from '../frame/way-back'
import { takeOut } from '../queries/removals'
import { everythingChanged } from '../queries/query'
import { plural } from './address'
import Panel from './Panel.vue'
import Pebble from './Pebble.vue'

/** Takes something out. It can be brought back; only where visitors may still see it is that asked first. */
const props = defineProps<{ what: Removable; id: string; first?: () => Promise<unknown> }>()
const emit = defineEmits<{ removed: [] }>()
const router = useRouter()
const busy = ref(false)
const asked = ref<Foresight | null>(null)
const unnamed = computed(() => (asked.value ? asked.value.standing.total - asked.value.standing.rows.length : 0))

async function remove(standing: number): Promise<void> {
  busy.value = true
  try {
    await props.first?.()
    const removal = await takeOut(props.what, props.id, standing)
    asked.value = null
    emit('removed')
    void everythingChanged()
    sayRemoved(removal, router)
  } catch (e) {
    if (e instanceof ApiError && e.code === 'still-standing') asked.value = e.data as Foresight
    else sayFault(asApiError(e))
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <button type="button" class="word plain" :disabled="busy" @click="remove(0)"><slot /></button>
  <Panel v-if="asked" :open="true" :title="`Remove the ${asked.what} ${asked.name}?`" @close="asked = null">
    <p>
      Visitors may still see {{ asked.what === 'widget' || asked.what === 'install' ? 'it' : 'widgets' }} in
      {{ plural(asked.standing.total, 'placement') }}. Nothing will show there any more, and no check will look.
    </p>
    <ul class="ledger mt-3 border-y border-rule">
      <li v-for="one in asked.standing.rows" :key="one.id" class="flex items-baseline gap-3 py-[6px]">
        <Pebble :status="one.status" :seed="one.id" class="self-center" />
        <span
          ><b>{{ one.widget }}</b> on {{ one.site }}, {{ one.page }}, {{ one.placement ?? 'over the page' }}</span
        >
      </li>
      <li v-if="unnamed" class="py-[6px] text-soft">and {{ unnamed }} more</li>
    </ul>
    <p class="mt-3 text-[14px] text-soft">
      To have proof that it is gone from a page, retire its install instead. What is removed can be brought back for
      {{ asked.daysKept }} days.
    </p>
    <p class="mt-4 flex flex-wrap items-center gap-x-5 gap-y-2">
      <button type="button" class="act" :disabled="busy" @click="remove(asked.standing.total)">
        {{ busy ? 'Removing …' : 'Remove it all the same' }}
      </button>
      <button type="button" class="word" data-first @click="asked = null">Leave it there</button>
    </p>
  </Panel>
</template>

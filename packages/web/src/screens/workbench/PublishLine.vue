<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { say } from '../../frame/notices'
import RemoveIt from '../../parts/RemoveIt.vue'
import Publish from './Publish.vue'
import { plural } from '../../parts/address'
import { openSetting } from './brief/open-setting'
import { useWorkbench } from '../../stores/workbench'

/** Publishing, what to think of before it, what lies behind (earlier releases, the starter), and taking it out. */
defineProps<{ warning: string; mayPublish: boolean }>()
const emit = defineEmits<{ show: [panel: 'compare' | 'releases' | 'designs'] }>()
const bench = useWorkbench()
const router = useRouter()
const publishing = ref(false)

function backToStarter(): void {
  bench.backToStarter()
  say('Look and layout are the starter’s again.', { undo: bench.undo })
}
</script>

<template>
  <div class="border-t border-ink py-3">
    <p v-if="warning" class="mb-2 text-[14px] text-ochre">{{ warning }}</p>
    <section v-if="bench.wrong.length" class="mb-2 text-[14px]" aria-label="Settings to fix">
      <h2 class="font-sans text-[14px] font-bold text-coral">
        Fix {{ plural(bench.wrong.length, 'setting') }} before you publish
      </h2>
      <ul>
        <li v-for="{ key, label, why } in bench.wrong" :key="key">
          <button type="button" class="word text-[14px]" :disabled="bench.lookingAt !== null" @click="openSetting(key)">
            {{ label }}
          </button>
          <span class="text-soft">: {{ why }}</span>
        </li>
      </ul>
    </section>
    <slot />
    <div class="flex flex-wrap items-center gap-x-[14px] gap-y-2">
      <button
        type="button"
        class="act"
        :disabled="
          !mayPublish ||
          (bench.newest !== null && !bench.changes.length) ||
          bench.saving.state === 'conflict' ||
          bench.wrong.length > 0
        "
        @click="publishing = true"
      >
        Publish release {{ (bench.newest?.number ?? 0) + 1 }}
      </button>
      <button v-if="bench.newest" type="button" class="word" @click="emit('show', 'compare')">
        Compare with {{ bench.newest.number }}
      </button>
      <button v-if="bench.newest" type="button" class="word" @click="emit('show', 'releases')">Releases</button>
      <button type="button" class="word" @click="emit('show', 'designs')">Other design</button>
      <button type="button" class="word" @click="backToStarter">Back to starter</button>
      <RemoveIt
        v-if="bench.saving.state !== 'conflict'"
        :id="bench.widget!.id"
        what="widget"
        :first="bench.saving.flush"
        @removed="router.push('/widgets')"
        >Remove</RemoveIt
      >
    </div>
    <Publish v-if="publishing" @close="publishing = false" />
  </div>
</template>

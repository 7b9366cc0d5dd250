<script setup lang="ts">
import { computed, ref } from 'vue'
import FormTestLine from '../../parts/FormTestLine.vue'
import Panel from '../../parts/Panel.vue'
import { useRegister } from '../../queries/installs'
import { useWorkbench } from '../../stores/workbench'

/** Of a widget that asks visitors for something: where what becomes of the answers is decided, where they are, and a test. */
const bench = useWorkbench()
const trying = ref(false)
const { data: standing } = useRegister(() => ({ widgetId: bench.widget!.id, size: '1' }))
const install = computed(() => standing.value?.rows.find(({ status }) => status !== 'retired') ?? null)
</script>

<template>
  <p class="-mt-2 mb-3 flex flex-wrap gap-x-5 text-[13.5px]">
    <RouterLink :to="`/widgets/${bench.widget!.id}/answers`" class="word text-[13.5px]"
      >What becomes of the answers</RouterLink
    >
    <RouterLink :to="`/results/leads?widgetId=${bench.widget!.id}`" class="word plain text-[13.5px]"
      >See them</RouterLink
    >
    <button type="button" class="word plain text-[13.5px]" @click="trying = true">Try it</button>
  </p>
  <Panel v-if="trying" :open="true" title="Whether it arrives" @close="trying = false">
    <p class="mb-3 text-[14px] text-soft">
      {{
        install
          ? `Answers that it takes are sent to its address on ${install.site}, and followed to the last mail.`
          : 'It stands nowhere yet: the draft is tried from where its answers come in.'
      }}
    </p>
    <FormTestLine :widget-id="bench.widget!.id" :install-id="install?.id ?? null" filled />
  </Panel>
</template>

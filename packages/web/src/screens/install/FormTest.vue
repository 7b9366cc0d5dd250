<script setup lang="ts">
import type { InstallDetail } from '../../api/types'
import FormTestLine from '../../parts/FormTestLine.vue'
import { useForm } from '../../queries/forms'
import { computed } from 'vue'

/** Whether what visitors write here arrives: a test, and the ways to the answers. */
const props = defineProps<{ install: InstallDetail }>()
const { data: info } = useForm(() => props.install.widgetId)
const last = computed(() => info.value?.tests.find(({ publicId }) => publicId === props.install.publicId) ?? null)
</script>

<template>
  <section aria-labelledby="form-test">
    <h2 id="form-test" class="mb-2 border-t border-ink pt-[10px] text-[16px] font-semibold">Its form</h2>
    <FormTestLine :widget-id="install.widgetId" :install-id="install.id" :last="last" />
    <p class="mt-2 flex flex-wrap gap-x-5">
      <RouterLink :to="`/results/leads?widgetId=${install.widgetId}&siteId=${install.siteId}`" class="word plain"
        >Its answers</RouterLink
      >
      <RouterLink :to="`/widgets/${install.widgetId}/answers`" class="word plain">What becomes of them</RouterLink>
    </p>
  </section>
</template>

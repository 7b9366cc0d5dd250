<script setup lang="ts">
import { watch } from 'vue'
import Fault from '../../parts/Fault.vue'
import Waiting from '../../parts/Waiting.vue'
import { useForm } from '../../queries/forms'
import { useWidget } from '../../queries/widgets'
import Decisions from './Decisions.vue'

/** What becomes of what a widget’s form is sent, decided in one place; it holds at once, without a release. */
const props = defineProps<{ id: string }>()
const { data: widget } = useWidget(() => props.id)
const { data: info, error, refetch } = useForm(() => props.id)
watch(widget, (now) => now && (document.title = `Answers to ${now.name} · Pebblestrand`), { immediate: true })
</script>

<template>
  <Fault v-if="error" :error="error" :retry="refetch" class="m-8" />
  <Waiting v-else-if="!info || !widget" doing="Looking what becomes of the answers" class="px-8" />
  <Decisions v-else :id="id" :key="id" :widget="widget" :info="info" />
</template>

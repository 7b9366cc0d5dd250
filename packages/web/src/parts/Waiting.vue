<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref } from 'vue'

/** Waits over half a second say what is being done. */
defineProps<{ doing: string }>()
const late = ref(false)
let timer: ReturnType<typeof setTimeout> | undefined
onMounted(() => (timer = setTimeout(() => (late.value = true), 500)))
onBeforeUnmount(() => clearTimeout(timer))
</script>

<template>
  <p class="py-6 text-soft" role="status">{{ late ? `${doing} …` : '\u00a0' }}</p>
</template>

<script setup lang="ts">
defineProps<{ error: { message: string; remedy: string }; retry?: () => unknown }>()
</script>

<template>
  <div class="border-l-4 border-coral py-1 pl-4" role="alert">
    <p>
      <b>{{ error.message }}</b> {{ error.remedy }}
    </p>
    <button v-if="retry" type="button" class="word mt-1" @click="retry">Try again</button>
  </div>
</template>

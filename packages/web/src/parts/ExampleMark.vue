<script setup lang="ts">
/** Over a drawing that shows a kind's example, since there is nothing of its own to show. */
</script>

<template>
  <p
    class="pointer-events-none absolute border border-heather bg-paper px-2 py-[1px] text-[12.5px] font-bold text-heather"
  >
    example
  </p>
</template>

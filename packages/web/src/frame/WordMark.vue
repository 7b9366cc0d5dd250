<template>
  <RouterLink
    to="/today"
    class="flex items-center gap-[10px] text-ink no-underline"
    aria-label="Pebblestrand, to Today"
  >
    <svg width="31" height="20" viewBox="0 0 31 20" aria-hidden="true">
      <path
        d="M1 15.500c6-2.200 10 1 15 0s9-2 14-.5"
        fill="none"
        stroke="currentColor"
        stroke-width="1.600"
        stroke-linecap="round"
      />
      <path d="M3.500 11.500c0-4 8.500-4.500 8.500-.5 0 3-8.500 3.500-8.500.5z" fill="var(--kelp)" />
      <path d="M13 11.800c.5-3 6.500-3 6.800 0 .2 2.600-7 2.600-6.800 0z" fill="currentColor" />
      <path
        d="M21.800 11.400c.8-2.600 5.700-2.200 5.700.5 0 2.400-6.300 2-5.700-.5z"
        fill="none"
        stroke="currentColor"
        stroke-width="1.600"
      />
    </svg>
    <span class="font-display text-[20px] font-bold tracking-[-0.01em]">Pebblestrand</span>
  </RouterLink>
</template>

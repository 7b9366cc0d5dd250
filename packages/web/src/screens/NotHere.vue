<template>
  <div class="px-4 py-16 lg:px-8">
    <h1 class="text-[31px] font-bold">This is not here.</h1>
    <p class="mt-3">
      It may have been removed, or the address has a slip in it.
      <RouterLink to="/today" class="word">Back to Today</RouterLink>
    </p>
  </div>
</template>

<script setup lang="ts">
import { nextTick, ref, watch } from 'vue'
import type { ApiError } from '../../api/error'
import { asApiError } from '../../api/error'
import { widgetNamed } from '../../queries/widgets'
import { useWorkbench } from '../../stores/workbench'

const bench = useWorkbench()
const editing = ref(false)
const name = ref('')
const error = ref<ApiError | null>(null)
const field = ref<HTMLInputElement | null>(null)
/** Another widget that is called so: no fault, but said. */
const double = ref<Awaited<ReturnType<typeof widgetNamed>>>(null)
let asked = 0
watch([name, editing], async () => {
  const own = ++asked
  const found = editing.value ? await widgetNamed(name.value.trim(), bench.widget!.id).catch(() => null) : double.value
  if (own === asked) double.value = found
})

async function begin(): Promise<void> {
  name.value = bench.widget!.name
  editing.value = true
  await nextTick()
  field.value?.select()
}
async function keep(): Promise<void> {
  error.value = null
  if (name.value.trim() === bench.widget!.name) return void (editing.value = false)
  try {
    await bench.rename(name.value)
    editing.value = false
  } catch (e) {
    error.value = asApiError(e)
  }
}
</script>

<template>
  <form v-if="editing" @submit.prevent="keep">
    <input
      ref="field"
      v-model="name"
      class="field font-display text-[25px] font-bold"
      aria-label="Name of the widget"
      maxlength="80"
      @blur="keep"
      @keydown.esc="editing = false"
    />
    <p v-if="error" class="text-coral" role="alert">
      {{ error.code === 'taken' ? 'Another widget has this name.' : error.message }} {{ error.remedy }}
    </p>
  </form>
  <h1 v-else class="text-[27px] font-bold">
    <button
      type="button"
      class="cursor-text text-left"
      :aria-label="`${bench.widget?.name}: change the name`"
      @click="begin"
    >
      {{ bench.widget?.name }}
    </button>
  </h1>
  <p v-if="double" class="text-[13.5px] text-ochre" role="status">
    There is another called that:
    <RouterLink :to="`/widgets/${double.id}`" class="word">{{ double.name }}</RouterLink>.
  </p>
</template>

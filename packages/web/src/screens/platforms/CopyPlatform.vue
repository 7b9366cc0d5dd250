<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import InputField from '../../parts/InputField.vue'
import SheetForm from '../../parts/SheetForm.vue'
import { copyPlatform } from '../../queries/platforms'

/** Makes a profile of the agency's own from another one; for one site, or for all. */
const props = defineProps<{ from: { id: string; name: string }; site?: { id: string; name: string } }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const name = ref(props.site ? `${props.from.name}, ${props.site.name}` : `${props.from.name}, ours`)
const isForOne = ref(Boolean(props.site))

async function run(): Promise<void> {
  const { key } = await copyPlatform(props.from.id, name.value, isForOne.value ? props.site!.id : null)
  await router.push(`/platforms/${key}`)
}
</script>

<template>
  <SheetForm :title="`A copy of ${from.name}`" does="Copy it" :run="run" @close="emit('close')" @done="emit('close')">
    <template #default="{ about }">
      <InputField v-model="name" label="What you call it" :fault="about('name')" />
      <label v-if="site" class="mb-3 flex items-baseline gap-2 text-[14px]"
        ><input v-model="isForOne" type="checkbox" class="accent-kelp" /> For {{ site.name }} alone</label
      >
    </template>
  </SheetForm>
</template>

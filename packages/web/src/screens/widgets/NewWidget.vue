<script setup lang="ts">
import { kinds } from '@pebblestrand/core/kinds'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import InputField from '../../parts/InputField.vue'
import SheetForm from '../../parts/SheetForm.vue'
import Thumbnail from '../../parts/Thumbnail.vue'
import { useWidgets } from '../../stores/widgets'
import { starterPayload } from './starter-payload'

const emit = defineEmits<{ close: [] }>()
const widgets = useWidgets()
const router = useRouter()
const kind = kinds.headlines
const starter = ref(kind.starters[0]!.id)
const name = ref('')

async function make(): Promise<void> {
  const { id } = await widgets.make({ kind: kind.id, starter: starter.value, name: name.value.trim() || null })
  await router.push(`/widgets/${id}`)
}
</script>

<template>
  <SheetForm
    v-slot="{ about }"
    title="Make a widget"
    does="Open it in the workbench"
    wide
    :run="make"
    @close="emit('close')"
  >
    <p>
      <b>{{ kind.name }}.</b> {{ kind.purpose }}
    </p>
    <fieldset class="mt-4 border-0 p-0">
      <legend class="label mb-2">Begin from</legend>
      <div class="grid gap-4 sm:grid-cols-3">
        <label
          v-for="one in kind.starters"
          :key="one.id"
          class="block cursor-pointer border p-3 has-focus-visible:outline-2 has-focus-visible:outline-tide"
          :class="starter === one.id ? 'border-kelp bg-paper' : 'border-rule'"
        >
          <Thumbnail
            :payload="starterPayload(kind.id as 'headlines', one.settings)"
            :width="one.id === 'three-across' ? 660 : 300"
            :scale="one.id === 'three-across' ? 0.3 : 0.66"
            class="h-[170px]"
          />
          <span class="mt-3 flex items-center gap-2"
            ><input v-model="starter" type="radio" name="starter" :value="one.id" /> {{ one.name }}</span
          >
        </label>
      </div>
    </fieldset>
    <div class="mt-5 max-w-[360px]">
      <InputField
        v-model="name"
        label="Name"
        placeholder="Harbour news"
        hint="As you will look for it later. It can be changed."
        :fault="about('name')"
      />
    </div>
  </SheetForm>
</template>

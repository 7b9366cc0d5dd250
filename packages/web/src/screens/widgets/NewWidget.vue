<script setup lang="ts">
import { kindList } from '@pebblestrand/core/kinds'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import InputField from '../../parts/InputField.vue'
import SheetForm from '../../parts/SheetForm.vue'
import { makeWidget } from '../../queries/widgets'
import StarterChoice from './StarterChoice.vue'

/** Every kind with its starters, each drawn from its kind's sample; one is begun from. */
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const kinds = Object.values(kindList)
const chosen = ref(`${kinds[0]!.id} ${kinds[0]!.starters[0]!.id}`)
const name = ref('')
const kind = computed(() => kindList[chosen.value.split(' ')[0]!]!)

async function make(): Promise<void> {
  const [kindId, starter] = chosen.value.split(' ') as [string, string]
  const { id } = await makeWidget({ kind: kindId, starter, name: name.value.trim() || null })
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
    <p class="label mb-3">Begin from</p>
    <fieldset v-for="one in kinds" :key="one.id" class="mb-5 border-0 p-0">
      <legend class="mb-2">
        <b class="font-display text-[17px]">{{ one.name }}</b> <span class="text-soft">{{ one.purpose }}</span>
      </legend>
      <div class="grid gap-4 sm:grid-cols-3">
        <StarterChoice
          v-for="starter in one.starters"
          :key="starter.id"
          v-model="chosen"
          :kind="one"
          :starter="starter"
        />
      </div>
    </fieldset>
    <div class="mt-5 max-w-[360px]">
      <InputField
        v-model="name"
        label="Name"
        :placeholder="`New ${kind.name.toLowerCase()}`"
        hint="As you will look for it later. It can be changed."
        :fault="about('name')"
      />
    </div>
  </SheetForm>
</template>

<script setup lang="ts">
import { endings, methodNames, type MethodId } from '@pebblestrand/core/methods/words'
import type { InstallDetail } from '../../api/types'

type MethodAdvice = InstallDetail['advice']['best']

/** What speaks for and against each of the other ways to embed. */
defineProps<{ advices: MethodAdvice[] }>()
const emit = defineEmits<{ take: [method: MethodId] }>()
const sentence = (words: string) => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`
</script>

<template>
  <dl class="border-l-2 border-rule pl-3 text-[14px]">
    <div v-for="advice in advices" :key="advice.method" class="py-1">
      <dt class="font-semibold">
        {{ methodNames[advice.method].name }}
        <span v-if="advice.ends !== 'shown'" class="font-normal text-soft">· {{ endings[advice.ends].name }}</span>
      </dt>
      <dd class="text-soft">
        {{ sentence(advice.why) }}
        <template v-if="advice.rule"
          >It would take: <code class="text-[13px] break-words">{{ advice.rule }}</code>
        </template>
        <button v-if="advice.box" type="button" class="word text-[14px]" @click="emit('take', advice.method)">
          Take the {{ methodNames[advice.method].name }}
        </button>
      </dd>
    </div>
  </dl>
</template>

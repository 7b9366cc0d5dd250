<script setup lang="ts">
import { ref } from 'vue'
import { asApiError } from '../../api/error'
import { say, sayFault } from '../../frame/notices'
import { copyText } from '../../parts/clipboard'
import { newSecret } from '../../queries/forms'

/** By what a program knows that a call is ours. */
const props = defineProps<{ widgetId: string; secret: string }>()
const isShown = ref(false)
const copy = () => copyText(props.secret, 'The secret is on the clipboard.')
async function renew(): Promise<void> {
  if (
    !confirm(
      'Sign with another secret from now on? What checks the old one refuses the calls until it knows the new one.',
    )
  )
    return
  await newSecret(props.widgetId).then(
    () => say('Calls are signed with the new secret.'),
    (e: unknown) => sayFault(asApiError(e)),
  )
}
</script>

<template>
  <p class="mb-3 text-[13.5px] text-soft">
    Each call is signed (HTTP Message Signatures, RFC 9421, hmac-sha256) with the secret
    <code v-if="isShown" class="font-mono break-all text-ink">{{ secret }}</code><template v-else
      >that is kept here</template
    >.
    <button type="button" class="word plain text-[13.5px]" :aria-pressed="isShown" @click="isShown = !isShown">
      {{ isShown ? 'Hide it' : 'Show it' }}
    </button>
    <button type="button" class="word plain ml-3 text-[13.5px]" @click="copy">Copy it</button>
    <button type="button" class="word plain ml-3 text-[13.5px]" @click="renew">Another one</button>
  </p>
</template>

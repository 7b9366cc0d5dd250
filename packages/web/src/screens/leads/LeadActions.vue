<script setup lang="ts">
import { ref } from 'vue'
import { asApiError } from '../../api/error'
import { say, sayFault } from '../../frame/notices'
import { markLead } from '../../queries/forms'

/** What can be done with one answer: done, spam, new again; what was held back is let through. */
const props = defineProps<{ lead: { id: string; state: 'new' | 'done' | 'spam' | 'held' } }>()
const busy = ref(false)
async function mark(state: 'new' | 'done' | 'spam', said: string): Promise<void> {
  const before = props.lead.state
  busy.value = true
  try {
    await markLead(props.lead.id, state)
    // What was let through has been passed on: that cannot be taken back.
    say(
      said,
      before === 'held'
        ? {}
        : { undo: () => void markLead(props.lead.id, before).catch((e: unknown) => sayFault(asApiError(e))) },
    )
  } catch (e) {
    sayFault(asApiError(e))
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <p class="flex flex-wrap gap-x-4">
    <template v-if="lead.state === 'held'">
      <button
        type="button"
        class="word text-[13.5px]"
        :disabled="busy"
        @click="mark('new', 'It is let through, and passed on as any other.')"
      >
        Let it through
      </button>
      <button type="button" class="word plain text-[13.5px]" :disabled="busy" @click="mark('spam', 'Marked as spam.')">
        It is spam
      </button>
    </template>
    <template v-else-if="lead.state === 'new'">
      <button type="button" class="word text-[13.5px]" :disabled="busy" @click="mark('done', 'Marked as done.')">
        Done
      </button>
      <button type="button" class="word plain text-[13.5px]" :disabled="busy" @click="mark('spam', 'Marked as spam.')">
        Spam
      </button>
    </template>
    <button
      v-else
      type="button"
      class="word plain text-[13.5px]"
      :disabled="busy"
      @click="mark('new', 'It is new again.')"
    >
      New again
    </button>
  </p>
</template>

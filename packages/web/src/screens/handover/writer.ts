import type * as writing from '@pebblestrand/core/handover/writing'
import { shallowRef, type ShallowRef } from 'vue'

/** What words mails in every language; null until it is there. */
export function useWriter(): ShallowRef<typeof writing | null> {
  const writer = shallowRef<typeof writing | null>(null)
  void import('@pebblestrand/core/handover/writing').then((loaded) => (writer.value = loaded))
  return writer
}

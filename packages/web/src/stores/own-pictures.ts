import type { Picture } from '@pebblestrand/core/items'
import type { Kind, Settings } from '@pebblestrand/core/kinds'
import { shallowRef, watch, type Ref, type ShallowRef } from 'vue'
import { ownPicture } from '../queries/pictures'

/** Pictures that people upload are seen by who is signed in; the stage is nobody. */
const UPLOADS = `${location.origin}/api/uploads/`

/** Our copies of the uploaded pictures that the settings on the bench name, by their addresses: those can be shown on the stage. */
export function useOwnPictures(
  kind: Ref<Kind | null>,
  settings: Ref<Settings | null>,
): Readonly<ShallowRef<Record<string, Picture>>> {
  const own = shallowRef<Record<string, Picture>>({})
  watch([kind, settings], async () => {
    const named = (settings.value && kind.value?.pictureAddresses?.(settings.value)) ?? []
    for (const address of named.filter((one) => one.startsWith(UPLOADS) && !own.value[one])) {
      const found = await ownPicture(address).catch(() => null) // it may be gone: then nothing stands there
      if (found) own.value = { ...own.value, [address]: found }
    }
  })
  return own
}

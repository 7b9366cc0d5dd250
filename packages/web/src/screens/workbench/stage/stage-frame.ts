import type { SiteLook } from '@pebblestrand/core/look'
import type { Payload } from '@pebblestrand/core/artefacts'
import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue'
import { plain } from '../../../stores/plain'

/** What the stage tells of itself; px of the page in it. */
interface Told {
  pebblestrand?: 'ready' | 'height'
  height?: number
  width?: number
}

const MOST_HEIGHT = 8000

/** Talks with the page in a stage's frame: gives it what to show, and hears how large it became. Each new page says when it is ready. */
export function useStageFrame(
  frame: Ref<HTMLIFrameElement | null>,
  showing: () => { payload: Payload | null; look: SiteLook | null; padding: number; reserved: string },
) {
  const ready = ref(false)
  const height = ref(200)
  /** Of the room the widget has in it. */
  const width = ref(0)

  function show(): void {
    const { payload, ...around } = showing()
    if (!ready.value || !payload) return
    frame.value?.contentWindow?.postMessage(plain({ pebblestrand: 'show', payload, ...around }), '*')
  }
  /** Has what stands over the page go and come again. @param ms that it takes to go */
  const replay = (ms: number): void => frame.value?.contentWindow?.postMessage({ pebblestrand: 'replay', ms }, '*')
  function hear({ source, data }: MessageEvent): void {
    if (source !== frame.value?.contentWindow) return
    const told = data as Told
    if (told.pebblestrand === 'ready') {
      ready.value = true
      show()
    }
    if (told.pebblestrand === 'height' && told.height) {
      height.value = Math.min(MOST_HEIGHT, told.height)
      width.value = told.width ?? 0
    }
  }
  onMounted(() => addEventListener('message', hear))
  onBeforeUnmount(() => removeEventListener('message', hear))
  return { ready, height, width, show, replay }
}

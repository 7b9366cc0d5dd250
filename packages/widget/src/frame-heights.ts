/** Px that a frame can be at least and at most, whatever is told. */
const LEAST = 20
const MOST = 20_000

/**
 * Makes frames of ours as high as what is in them, as their pages tell it. Those pages have no origin of their own (their policy's
 * `sandbox`), so it is the sender that is checked: the window of a frame on this very page whose address is ours.
 */
export function followFrames(origin: string): void {
  const frames = () => [...document.querySelectorAll('iframe')].filter(({ src }) => src.startsWith(`${origin}/`))
  addEventListener(
    'message',
    ({ origin: from, source, data }: MessageEvent<{ pebblestrandHeight?: unknown } | null>) => {
      const height = data?.pebblestrandHeight
      if (typeof height !== 'number' || !(height > 0) || (from !== 'null' && from !== origin)) return
      const frame = frames().find(({ contentWindow }) => contentWindow === source)
      if (frame) frame.style.height = `${Math.min(Math.max(height, LEAST), MOST)}px`
    },
  )
  // Those that told it before anyone listened tell it again.
  for (const { contentWindow } of frames()) contentWindow?.postMessage('pebblestrand-height', '*')
}

import type { Behaviour } from '../behaviour'

/** Tells that the page is being looked at; the server decides whether it counts. A page fetched ahead counts once it is shown. */
const count: Behaviour = ({ tell }) => {
  const page = document as Document & { prerendering?: boolean }
  if (!page.prerendering) return void tell()
  const shown = () => void tell()
  document.addEventListener('prerenderingchange', shown, { once: true })
  return () => document.removeEventListener('prerenderingchange', shown)
}

export default count

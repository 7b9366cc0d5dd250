import type { Behaviour } from '../behaviour'

/** Closes an open panel on Escape, giving the focus back, and on a press anywhere else. */
const panel: Behaviour = ({ root }) => {
  const details = root.querySelector<HTMLDetailsElement>('details.pd')
  if (!details) return
  const end = new AbortController()
  const { signal } = end
  details.addEventListener(
    'keydown',
    (event) => {
      if (event.key !== 'Escape' || !details.open) return
      details.open = false
      details.querySelector('summary')?.focus()
    },
    { signal },
  )
  document.addEventListener(
    'pointerdown',
    (event) => {
      if (details.open && !event.composedPath().includes(details)) details.open = false
    },
    { signal },
  )
  return () => end.abort()
}

export default panel

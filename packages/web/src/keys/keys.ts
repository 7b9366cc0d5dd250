import { onBeforeUnmount, onMounted, ref, watch, type Ref } from 'vue'

/** Keys that work anywhere outside a text field. */
export const shortcuts = [
  { key: '/', does: 'go to find or do' },
  { key: '?', does: 'show these keys' },
  { key: '.', does: 'open the actions for the thing in focus' },
  { key: '[', does: 'previous of the list you came from' },
  { key: ']', does: 'next of the list you came from' },
  { key: 'Ctrl+Z', does: 'take back the last change of a draft; with Shift, make it again' },
  { key: 'M', does: 'place the widget in focus, on a site’s page plan' },
] as const

export const shortcutsOpen = ref(false)
const handlers = new Map<string, Set<() => void>>()

/** While the component lives, `key` calls the handler. */
export function onKey(key: string, handler: () => void): void {
  onMounted(() => handlers.set(key, (handlers.get(key) ?? new Set()).add(handler)))
  onBeforeUnmount(() => handlers.get(key)?.delete(handler))
}

const inTextField = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) &&
      !['checkbox', 'radio', 'button'].includes((target as HTMLInputElement).type)))

/** The thing in focus is the nearest element marked `data-thing`; its actions open by its `data-actions` button. */
function openActions(): boolean {
  const button = document.activeElement?.closest('[data-thing]')?.querySelector<HTMLElement>('[data-actions]')
  button?.click()
  button?.focus()
  return button !== null && button !== undefined
}

/** A key with what is held beside it: "Ctrl+Shift+Z"; Ctrl is Cmd where there is one. A letter alone is itself. */
function chordOf({ key, ctrlKey, metaKey, shiftKey }: KeyboardEvent): string {
  if (!ctrlKey && !metaKey) return key
  return `Ctrl+${shiftKey ? 'Shift+' : ''}${key.toUpperCase()}`
}

export function listenForKeys(): void {
  const listen = (event: KeyboardEvent) => {
    if (event.altKey || event.defaultPrevented || inTextField(event.target)) return
    const chord = chordOf(event)
    if (chord !== event.key && !handlers.get(chord)?.size) return
    if (chord === '?') shortcutsOpen.value = true
    else if (chord === '.' && openActions()) event.preventDefault()
    else {
      const last = [...(handlers.get(chord) ?? [])].at(-1)
      if (!last) return
      event.preventDefault()
      last()
    }
  }
  onMounted(() => addEventListener('keydown', listen))
  onBeforeUnmount(() => removeEventListener('keydown', listen))
}

/** Calls back when the page is looked at again after a while, so that what is shown is not stale. */
export function onReturn(callback: () => void): void {
  const visible: Ref<boolean> = ref(document.visibilityState === 'visible')
  const listen = () => (visible.value = document.visibilityState === 'visible')
  onMounted(() => document.addEventListener('visibilitychange', listen))
  onBeforeUnmount(() => document.removeEventListener('visibilitychange', listen))
  watch(visible, (now) => now && callback())
}

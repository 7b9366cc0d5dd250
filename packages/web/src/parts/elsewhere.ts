import { onBeforeUnmount, onMounted } from 'vue'

/** Calls `leave` on each press, and each time the focus goes, where none of the elements is. */
export function onElsewhere(elements: () => (HTMLElement | null | undefined)[], leave: () => void): void {
  const look = ({ target }: Event) => {
    if (!elements().some((element) => element?.contains(target as Node))) leave()
  }
  const events = ['pointerdown', 'focusin']
  onMounted(() => events.forEach((name) => document.addEventListener(name, look)))
  onBeforeUnmount(() => events.forEach((name) => document.removeEventListener(name, look)))
}

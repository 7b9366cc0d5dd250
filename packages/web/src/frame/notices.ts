import { ref } from 'vue'

export interface Notice {
  id: number
  text: string
  remedy: string
  fault: boolean
  undo: (() => void) | null
}

export const notices = ref<Notice[]>([])
let next = 1

/** Says something that happened, for a while; a fault stays until it is read away. */
export function say(text: string, more: { remedy?: string; fault?: boolean; undo?: () => void } = {}): void {
  const notice = { id: next++, text, remedy: more.remedy ?? '', fault: more.fault ?? false, undo: more.undo ?? null }
  notices.value = [...notices.value.slice(-2), notice]
  if (!notice.fault) setTimeout(() => dismiss(notice.id), notice.undo ? 12_000 : 6000)
}

export const sayFault = (error: { message: string; remedy: string }) =>
  say(error.message, { remedy: error.remedy, fault: true })

export function dismiss(id: number): void {
  notices.value = notices.value.filter((n) => n.id !== id)
}

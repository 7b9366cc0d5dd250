/** Goes to a setting in the brief and opens it. */
export function openSetting(key: string): void {
  const piece = document.querySelector<HTMLElement>(`[data-setting="${key}"]`)
  piece?.scrollIntoView({ block: 'center' })
  piece?.focus()
  piece?.click()
}

import { ref } from 'vue'

export const themes = ['system', 'light', 'dark'] as const
export type Theme = (typeof themes)[number]

const KEY = 'pebblestrand-theme'
const dark = matchMedia('(prefers-color-scheme: dark)')

function stored(): Theme {
  const value = localStorage.getItem(KEY)
  return themes.find((t) => t === value) ?? 'system'
}

export const theme = ref<Theme>(stored())

export function applyTheme(): void {
  document.documentElement.dataset.theme =
    theme.value === 'dark' || (theme.value === 'system' && dark.matches) ? 'dark' : 'light'
}
dark.addEventListener('change', applyTheme)

export function chooseTheme(next: Theme): void {
  theme.value = next
  localStorage.setItem(KEY, next)
  applyTheme()
}

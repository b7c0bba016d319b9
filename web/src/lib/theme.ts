import { onDevice } from './remembered'
export type Theme = 'light' | 'dark'
const STORE = 'chalk.theme'

export function theme(): Theme {
  const chosen = onDevice.getItem(STORE)
  if (chosen === 'light' || chosen === 'dark') return chosen
  return typeof matchMedia === 'function' && matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light'
}

export function applyTheme(next: Theme = theme()) {
  document.documentElement.dataset.theme = next
}

export function chooseTheme(next: Theme) {
  onDevice.setItem(STORE, next)
  applyTheme(next)
}

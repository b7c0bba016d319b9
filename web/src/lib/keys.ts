import { useEffect, useRef, useSyncExternalStore } from 'react'
import { onDevice } from './remembered'

/** Keyboard acts: each screen names its own; one sheet lists those that hold now. Keys can be turned off. */
type Act = { label: string; run: (event: KeyboardEvent) => void; inFields?: boolean }
export type Acts = Record<string, Act>

const layers: { acts: Acts }[] = []
const listeners = new Set<() => void>()
let version = 0
const tell = () => {
  version += 1
  listeners.forEach((listener) => listener())
}

const STORE = 'chalk.keys'
const keysOn = () => onDevice.getItem(STORE) !== 'off'
export function setKeysOn(on: boolean) {
  onDevice.setItem(STORE, on ? 'on' : 'off')
  tell()
}

export const useKeysOn = () =>
  useSyncExternalStore((listener) => {
    listeners.add(listener)
    return () => listeners.delete(listener)
  }, keysOn)

/** "Shift+?" and "?" are the same press; modifiers are named in a fixed order. */
function nameOf(event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>): string {
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key
  const shift = event.shiftKey && (event.key.length > 1 || event.ctrlKey || event.metaKey) ? 'Shift+' : ''
  return `${event.ctrlKey || event.metaKey ? 'Ctrl+' : ''}${event.altKey ? 'Alt+' : ''}${shift}${key}`
}

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    target.tagName === 'TEXTAREA' ||
    target.tagName === 'SELECT' ||
    (target instanceof HTMLInputElement && !['checkbox', 'radio', 'button'].includes(target.type)))

const PRESSES = ['Enter', ' ']
const ARROWS = ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', 'Home', 'End']
/** What the control at hand does with a key by itself. Enter on a radio button is nobody's, as in any form. */
const KNOWN: [string, string[]][] = [
  ['button, a[href], summary, [role=button], [role=link]', PRESSES],
  ['[role=menuitem], [role=option], [role=tab], [role=treeitem]', [...PRESSES, ...ARROWS]],
  ['input[type=radio], [role=radio], [role=slider]', [' ', ...ARROWS]],
  ['input[type=checkbox], [role=checkbox], [role=switch]', [' ']],
]
function isKnown(target: EventTarget | null, name: string) {
  if (!(target instanceof HTMLElement)) return false
  // The narrower meaning first: a radio may be drawn as a button.
  const control = [...KNOWN].reverse().find(([selector]) => target.matches(selector))
  return control?.[1].includes(name) ?? false
}

function onKey(event: KeyboardEvent) {
  if (!keysOn()) return
  const name = nameOf(event)
  const free = name === 'Enter' && event.target instanceof HTMLElement && event.target.matches('[role=radio]')
  if ((event.defaultPrevented && !free) || isKnown(event.target, name)) return
  const inField = typing(event.target)
  const inDialog =
    event.target instanceof HTMLElement && event.target.closest('[role=dialog],[role=menu],[role=listbox]') !== null
  for (const layer of [...layers].reverse()) {
    const act = layer.acts[name]
    if (act && (act.inFields || (!inField && !inDialog))) {
      event.preventDefault()
      act.run(event)
      return
    }
  }
}

export function useKeys(acts: Acts) {
  const layer = useRef<{ acts: Acts }>({ acts })
  useEffect(() => {
    layer.current.acts = acts
  })
  useEffect(() => {
    const mine = layer.current
    layers.push(mine)
    if (layers.length === 1) window.addEventListener('keydown', onKey)
    tell()
    return () => {
      layers.splice(layers.indexOf(mine), 1)
      if (layers.length === 0) window.removeEventListener('keydown', onKey)
      tell()
    }
  }, [])
}

/** All acts that hold now, nearest screen first. */
export function useActs(): { name: string; label: string }[] {
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => version,
  )
  const seen = new Map<string, string>()
  for (const layer of [...layers].reverse())
    for (const [name, act] of Object.entries(layer.acts)) if (!seen.has(name)) seen.set(name, act.label)
  return [...seen].map(([name, label]) => ({ name, label }))
}

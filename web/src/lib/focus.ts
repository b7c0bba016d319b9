import { useEffect, useRef, type RefObject } from 'react'

/**
 * Where the focus goes when what had it goes. An act often takes its own control away: a row is removed, a dialog shuts,
 * a button is greyed while it saves. Left to itself the focus then falls to the page, and the next Tab begins at the top.
 */
const CONTROLS =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), [contenteditable=true], [tabindex]:not([tabindex="-1"])'
/** Where keys write: whoever pressed a button does not find the next key in a field. */
const WRITING = 'input:not([type=checkbox]):not([type=radio]), textarea, [contenteditable=true]'
/** How long a control that was greyed is waited for: a save takes so long at most. */
const PATIENCE = 4000

type Place = { element: HTMLElement; above: HTMLElement[]; ranks: number[] }
let last: Place | null = null
/** What had the focus before a dialog or menu was laid over it. */
let under: Place | null = null
let greyedAt = 0

const controlsIn = (root: HTMLElement) =>
  [...root.querySelectorAll<HTMLElement>(CONTROLS)].filter((el) => el.tabIndex >= 0 && el.closest('[inert]') === null)

/** A control with all that stands around it, and its rank among the controls of each. */
function placeOf(element: HTMLElement): Place {
  const above: HTMLElement[] = []
  for (let el = element.parentElement; el && el !== document.body; el = el.parentElement) above.push(el)
  return { element, above, ranks: above.map((el) => controlsIn(el).indexOf(element)) }
}

const heading = () => document.querySelector<HTMLElement>('main h1[tabindex="-1"]')

/** What stands now where the lost control stood: the one that followed it, else the one before, else the heading. */
function heirOf(place: Place): HTMLElement | null {
  const at = place.above.findIndex((el) => el.isConnected && el.closest('[aria-hidden=true], [inert]') === null)
  for (let i = at; i >= 0 && i < place.above.length; i++) {
    const controls = controlsIn(place.above[i]!)
    const rank = Math.max(0, place.ranks[i] ?? 0)
    const fits = (el: HTMLElement) => place.element.matches(WRITING) || !el.matches(WRITING)
    const heir = controls.slice(rank).find(fits) ?? controls.slice(0, rank).findLast(fits)
    if (heir) return heir
    if (place.above[i]!.tagName === 'MAIN') break
  }
  if (at >= 0 || !under || under === place) return heading()
  return under.element.isConnected && under.element.matches(CONTROLS) ? under.element : heirOf(under)
}

function mend() {
  if (!last || (document.activeElement !== document.body && document.activeElement !== null)) return
  const { element } = last
  if (element.isConnected && element.matches(':disabled')) {
    greyedAt ||= performance.now()
    if (performance.now() - greyedAt < PATIENCE) return
  }
  greyedAt = 0
  if (element.isConnected && !element.matches(':disabled')) element.focus({ preventScroll: true })
  else heirOf(last)?.focus({ preventScroll: true })
}

/** Keeps the focus where the act was, or gives it to what came of it. Mounted once, around all screens. */
export function useFocusKeeper() {
  useEffect(() => {
    const seen = (event: FocusEvent) => {
      if (event.target instanceof HTMLElement && event.target !== document.body) {
        const over = (element: HTMLElement) =>
          element.closest('[role=dialog], [role=alertdialog], [role=menu]') !== null
        if (!over(event.target)) under = null
        else if (last && !over(last.element)) under = last
        last = placeOf(event.target)
        greyedAt = 0
      }
    }
    // Somebody who clicks on the bare page has put the focus there.
    const release = (event: PointerEvent) => {
      if (event.target instanceof HTMLElement && event.target.closest(`${CONTROLS}, label`) === null)
        last = under = null
    }
    let waiting = 0
    const changed = new MutationObserver(() => {
      cancelAnimationFrame(waiting)
      waiting = requestAnimationFrame(mend)
    })
    document.addEventListener('focusin', seen)
    document.addEventListener('pointerdown', release)
    changed.observe(document.body, { childList: true, subtree: true, attributes: true, attributeFilter: ['disabled'] })
    return () => {
      document.removeEventListener('focusin', seen)
      document.removeEventListener('pointerdown', release)
      changed.disconnect()
      cancelAnimationFrame(waiting)
    }
  }, [])
}

let arriving = false
/** Another screen is on its way: its heading takes the focus, so that it is read and the next Tab begins there. */
export const arrive = () => {
  arriving = true
  last = under = null
}

/** The heading of a screen, which takes the focus when one arrives there. */
export function useArrival(): RefObject<HTMLHeadingElement | null> {
  const ref = useRef<HTMLHeadingElement>(null)
  useEffect(() => {
    if (!arriving) return
    arriving = false
    const here = document.activeElement
    // A field that has asked for the focus keeps it.
    if (here === null || here === document.body || !here.closest('main')) ref.current?.focus({ preventScroll: true })
  })
  return ref
}

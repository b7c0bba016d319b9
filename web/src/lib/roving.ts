import type { FocusEvent, KeyboardEvent } from 'react'

/** Gives the focus to one item of a list; false when it is not in the page. */
export function focusItem(list: Element | null, id: string): boolean {
  const item = [...(list?.querySelectorAll<HTMLElement>('[data-roving]') ?? [])].find(
    (one) => one.dataset.roving === id,
  )
  item?.focus()
  return item !== undefined
}

export type Roving = ReturnType<typeof roving>

/**
 * A list that is one Tab stop: arrows, Home and End go through it, and what has the focus is chosen, so that the panel
 * beside it follows. Spread `list` on what holds the items and `item(id)` on each.
 */
export function roving(
  ids: readonly string[],
  chosen: string | null | undefined,
  choose: (id: string) => void,
  /** brings an item into the page, where a long list keeps only those in sight */
  reveal?: (index: number) => void,
) {
  const stop = ids.includes(chosen ?? '') ? chosen : ids[0]
  const go = (event: KeyboardEvent, to: number) => {
    const at = Math.max(0, Math.min(ids.length - 1, to))
    const id = ids[at]
    if (id === undefined) return
    event.preventDefault()
    choose(id)
    const list = event.currentTarget
    reveal?.(at)
    // At once where it is in the page, or a key that comes before the next frame would start from where this one did.
    if (!focusItem(list, id)) requestAnimationFrame(() => focusItem(list, id))
  }
  return {
    list: {
      onKeyDown: (event: KeyboardEvent) => {
        const here = (event.target as HTMLElement).dataset.roving
        const at = here === undefined ? -1 : ids.indexOf(here)
        if (at < 0 || event.altKey || event.ctrlKey || event.metaKey || event.shiftKey) return
        if (event.key === 'ArrowDown') go(event, at + 1)
        else if (event.key === 'ArrowUp') go(event, at - 1)
        else if (event.key === 'Home') go(event, 0)
        else if (event.key === 'End') go(event, ids.length - 1)
      },
    },
    item: (id: string) => ({
      'data-roving': id,
      tabIndex: id === stop ? 0 : -1,
      onFocus: (event: FocusEvent) => event.target === event.currentTarget && id !== chosen && choose(id),
    }),
  }
}

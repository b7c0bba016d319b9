type Shelf = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'clear'>

function inMemory(): Shelf {
  const held = new Map<string, string>()
  return {
    getItem: (name) => held.get(name) ?? null,
    setItem: (name, value) => void held.set(name, value),
    removeItem: (name) => void held.delete(name),
    clear: () => held.clear(),
  }
}

/** A browser may refuse even to be asked, as within a page of another site: then it is remembered while the page is open. */
function shelf(of: () => Storage): Shelf {
  try {
    const given = of()
    given.getItem('')
    return given
  } catch {
    return inMemory()
  }
}

/** What this device remembers from one visit to the next. */
export const onDevice = shelf(() => window.localStorage)
/** What this tab remembers while it is open. */
export const inTab = shelf(() => window.sessionStorage)

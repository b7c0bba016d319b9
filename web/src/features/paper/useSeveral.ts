import { useState } from 'react'

/** How a part is chosen: by itself, with those that are chosen already, or with all between. */
export type How = 'alone' | 'with' | 'until'

/** Parts that are chosen together, besides the one that is selected; those that are gone are chosen no more. */
export function useSeveral(order: readonly string[], selected: string | null, select: (id: string) => void) {
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set())
  const chosen = order.filter((id) => picked.has(id))
  const toggle = (id: string, among: Iterable<string>) => {
    const next = new Set(among)
    if (!next.delete(id)) next.add(id)
    setPicked(next)
  }
  const choose = (id: string, how: How) => {
    if (how === 'alone' || !order.includes(id)) setPicked(new Set())
    // Whoever adds a second one means the first as well.
    else if (how === 'with') toggle(id, chosen.length > 0 || !selected || selected === id ? chosen : [selected])
    else {
      const [from, to] = [order.indexOf(selected ?? ''), order.indexOf(id)].sort((a, b) => a - b) as [number, number]
      setPicked(new Set([...chosen, ...order.slice(Math.max(0, from), to + 1)]))
    }
    select(id)
  }
  return { chosen, choose, letGo: () => setPicked(new Set()) }
}

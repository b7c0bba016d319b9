import { createContext, useContext } from 'react'
import { plainOf } from './values'

/** Puts the values of the draw that is looked at into a text; null where a question has none. */
const Drawn = createContext<((text: string) => string) | null>(null)
export const DrawnBy = Drawn.Provider

/** A text as it stands in that draw; as it is written where there is none. */
export function useInDraw() {
  const put = useContext(Drawn)
  return (text: string) => (put && /^=|\{/.test(text) ? plainOf(put(text)) : text)
}

/** What a text with formulas comes to in that draw, beside it. */
export function InDraw({ text }: { text: string }) {
  const now = useInDraw()(text)
  return now === text ? null : <span className="text-sm whitespace-nowrap text-quiet tabular-nums">now {now}</span>
}

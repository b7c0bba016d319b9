import type { Item } from '@/answers/kinds'
import { plainOf } from '@/answers/parts/values'
import type { Schemas } from '@/lib/api/client'

type Draw = Schemas['BankDrawView']

/** The draw to look at a question by: one that would be handed out, where there is one. */
export const fitDraw = (draws: readonly Draw[]) => draws.find((d) => d.faults.length === 0) ?? draws[0]

/** A text with the values of one draw in their places; a text that is a formula is its value. */
export function filledText(part: string, draw: Draw): string {
  // In rich text a formula may be written with entities, such as `&lt;`.
  const valueOf = (formula: string) => {
    const text = formula.trim()
    return draw.values[text] ?? draw.values[plainOf(text)] ?? draw.numbers[text]
  }
  const whole = part.startsWith('=') ? valueOf(part.slice(1)) : undefined
  const put = (as: string, formula: string) => valueOf(formula) ?? as
  return (
    whole ??
    part
      .split(/(\sdata-math="[^"]*")/)
      // Within maths braces are LaTeX's own, and a value is put in by {= h}.
      .map((text, i) => text.replace(i % 2 === 1 ? /\{(?:=|&#61;)([^{}]*)\}/g : /\{([^{}]+)\}/g, put))
      .join('')
  )
}

/** A question with the values of one draw in their places, as a student would have it. */
export function filled(item: Item, draw: Draw): Item {
  const put = (part: unknown): unknown => {
    if (typeof part === 'string') return filledText(part, draw)
    if (Array.isArray(part)) return part.map(put)
    if (part && typeof part === 'object')
      return Object.fromEntries(Object.entries(part).map(([name, value]) => [name, put(value)]))
    return part
  }
  const made = put(item) as Item
  for (const member of ['variables', 'constraints', 'decimals'] as const) delete made[member]
  return made
}

import type { Item } from '@/answers/kinds'
import { plainOf } from '@/answers/parts/values'
import type { Schemas } from '@/lib/api/client'

/** A question with the values of one draw in their places, as a student would have it. */
export function filled(item: Item, draw: Schemas['BankDrawView']): Item {
  // In rich text a formula may be written with entities, such as `&lt;`.
  const valueOf = (formula: string) => {
    const text = formula.trim()
    return draw.values[text] ?? draw.values[plainOf(text)] ?? draw.numbers[text]
  }
  const put = (part: unknown): unknown => {
    if (typeof part === 'string') {
      const whole = part.startsWith('=') ? valueOf(part.slice(1)) : undefined
      return whole ?? part.replace(/\{([^{}]+)\}/g, (as, formula: string) => valueOf(formula) ?? as)
    }
    if (Array.isArray(part)) return part.map(put)
    if (part && typeof part === 'object')
      return Object.fromEntries(Object.entries(part).map(([name, value]) => [name, put(value)]))
    return part
  }
  const made = put(item) as Item
  for (const member of ['variables', 'constraints', 'decimals'] as const) delete made[member]
  return made
}

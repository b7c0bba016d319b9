import type { Item } from '@/answers/kinds'
import { plainOf } from '@/answers/parts/values'
import { kindOf } from '@/answers/registry'

/** The parts of a question that a remark can be pinned to, as one speaks of them. */
export function partsOf(item: Item) {
  return [
    { value: '', label: 'the whole question' },
    { value: 'prompt', label: 'what is asked' },
    ...kindOf(item.type)
      .keyLines(item.rule)
      .filter((line) => line.line !== '')
      .map((line) => {
        const text = line.rich ? plainOf(line.text) : line.text
        return { value: line.line.slice(0, 40), label: `${line.mark} ${text}`.slice(0, 60) }
      }),
  ]
}

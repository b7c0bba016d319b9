import type { Item } from './kinds'
import { kindOf } from './registry'

/**
 * The line that marked an answer, by the place it has in the editor: `target 2, form` is read as
 * `line 2, form`, an option's id as `option B`. What is no line (`3 of 4`) stays as it is.
 */
export const lineNamed = (item: Item, line: string) => {
  const names = new Map(
    kindOf(item.type)
      .keyLines(item.rule)
      .map((one) => [one.line, one.shown ? `option ${one.mark}` : `line ${one.mark}`]),
  )
  return line
    .split('+')
    .map((named) => named.replace(/^[^,]+/, (id) => names.get(id) ?? id))
    .join(' and ')
}

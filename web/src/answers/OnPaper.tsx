import type { Item } from './kinds'
import { kindOf } from './registry'

/** Where a question is answered on paper, or its key. Reads well in greyscale. */
export function OnPaper({ item, withKey, brief }: { item: Item; withKey: boolean; brief?: boolean }) {
  const { Paper } = kindOf(item.type)
  return <Paper rule={item.rule} withKey={withKey} brief={brief} />
}

import type { Item } from './kinds'
import { kindOf } from './registry'

/** The answer rule of a question, edited in place. Each line carries feedback and the wrong idea it shows. */
export function RuleEditor({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  const { Editor } = kindOf(item.type)
  return <Editor rule={item.rule} onChange={(rule) => onChange({ ...item, rule } as Item)} />
}

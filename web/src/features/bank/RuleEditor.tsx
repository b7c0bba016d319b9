import { ChoiceEditor } from './ChoiceEditor'
import { NumberEditor } from './NumberEditor'
import { RubricEditor } from './RubricEditor'
import { TextEditor } from './TextEditor'
import type { Item } from './types'

/** The answer rule of a question, edited in place. Each line carries feedback and the wrong idea it shows. */
export function RuleEditor({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  switch (item.type) {
    case 'choice':
      return <ChoiceEditor rule={item.rule} onChange={(rule) => onChange({ ...item, rule })} />
    case 'text':
      return <TextEditor rule={item.rule} onChange={(rule) => onChange({ ...item, rule })} />
    case 'number':
      return <NumberEditor rule={item.rule} onChange={(rule) => onChange({ ...item, rule })} />
    case 'open':
      return <RubricEditor rule={item.rule} onChange={(rule) => onChange({ ...item, rule })} />
  }
}

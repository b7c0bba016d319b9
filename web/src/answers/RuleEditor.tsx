import { useCallback, useLayoutEffect, useMemo, useRef } from 'react'
import type { Item } from './kinds'
import { kindOf } from './registry'

/** The answer rule of a question, edited in place. Each line carries feedback and the wrong idea it shows. */
export function RuleEditor({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  const { Editor } = kindOf(item.type)
  const latest = useRef({ item, onChange })
  useLayoutEffect(() => {
    latest.current = { item, onChange }
  })
  const change = useCallback(
    (rule: Item['rule']) => latest.current.onChange({ ...latest.current.item, rule } as Item),
    [],
  )
  // What is typed elsewhere on the sheet leaves the rule, and all that is drawn of it, as it is.
  return useMemo(() => <Editor rule={item.rule} onChange={change} />, [Editor, item.rule, change])
}

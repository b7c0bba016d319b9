import type { Face, InputProps, ItemType, Value } from './kinds'
import { kindOf } from './registry'

/** The place to answer: big targets, every key works. */
export function Answer({ face, ...rest }: { face: Face } & Omit<InputProps<ItemType>, 'face'>) {
  const { Input } = kindOf(face.type)
  return <Input face={face} {...rest} />
}

/** What was answered, to be read. */
export function Given({ face, value }: { face: Face; value: Value | null }) {
  const { Given } = kindOf(face.type)
  return <Given face={face} value={value} />
}

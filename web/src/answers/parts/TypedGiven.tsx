import type { Value } from '../kinds'
import { Nothing } from './Nothing'
import { textOf } from './values'

/** What was typed, with its line breaks. */
export default function TypedGiven({ value }: { value: Value | null }) {
  return textOf(value) ? <span className="whitespace-pre-wrap">{textOf(value)}</span> : <Nothing />
}

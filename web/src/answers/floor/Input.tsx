import type { InputProps } from '../kinds'
import { WrittenInput } from '../parts/WrittenInput'

/** A few words that are not scored. */
export default function Input(props: InputProps<'floor'>) {
  return (
    <WrittenInput
      {...props}
      below={<span className="text-[0.85em] text-quiet">Not scored. Your teacher may share what is written here.</span>}
    />
  )
}

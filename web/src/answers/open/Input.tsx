import type { InputProps } from '../kinds'
import { WrittenInput } from '../parts/WrittenInput'

/** Room for a longer text, and what a marker looks for. */
export default function Input({ face, ...rest }: InputProps<'open'>) {
  return (
    <WrittenInput
      {...rest}
      below={
        face.criteria.length > 0 ? (
          <span className="text-[0.85em] text-quiet">
            A teacher looks for: {face.criteria.join(', ').toLowerCase()}
          </span>
        ) : null
      }
    />
  )
}

import type { InputProps } from '../kinds'
import { TypedInput } from '../parts/TypedInput'

export default function Input(props: InputProps<'expression'>) {
  return (
    <TypedInput
      {...props}
      after={<span className="text-[0.85em] whitespace-nowrap text-quiet">in {props.face.names.join(', ')}</span>}
    />
  )
}

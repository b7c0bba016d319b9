import type { InputProps } from '../kinds'
import { TypedInput } from '../parts/TypedInput'

export default function Input(props: InputProps<'text'>) {
  return <TypedInput {...props} />
}

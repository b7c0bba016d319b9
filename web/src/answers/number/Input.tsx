import type { InputProps } from '../kinds'
import { TypedInput } from '../parts/TypedInput'

export default function Input({ face, ...rest }: InputProps<'number'>) {
  return (
    <TypedInput
      {...rest}
      after={
        face.unit ? (
          <span className="text-quiet">{face.unitUse === 'required' ? 'with its unit' : face.unit}</span>
        ) : null
      }
    />
  )
}

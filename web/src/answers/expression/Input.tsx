import { useState, type ComponentType } from 'react'
import { onDevice } from '@/lib/remembered'
import { Button } from '@/ui/Button'
import type { InputProps } from '../kinds'
import { TypedInput } from '../parts/TypedInput'
import { textOf } from '../parts/values'
import type { MathFieldProps } from './MathField'

// It comes with this input, before a question is shown; where it cannot come, expressions are typed in a line.
let MathField: ComponentType<MathFieldProps> | null = null
export const bringMathField = () =>
  import('./MathField').then(
    (it) => {
      MathField = it.default
    },
    () => undefined,
  )

const STORE = 'chalk.maths-in-a-line'

const inALine = () => {
  try {
    return onDevice.getItem(STORE) === 'yes'
  } catch {
    return false
  }
}

/** An expression, typed as it is written by hand, or in a line for whoever types faster so. */
export default function Input(props: InputProps<'expression'>) {
  const { value, onChange, disabled, heading, face } = props
  const [line, setLine] = useState(inALine)
  const turn = () => {
    setLine(!line)
    try {
      onDevice.setItem(STORE, line ? 'no' : 'yes')
    } catch {
      // It holds for this page alone.
    }
  }
  const typed = (
    <TypedInput
      {...props}
      after={<span className="text-[0.85em] whitespace-nowrap text-quiet">in {face.names.join(', ')}</span>}
    />
  )
  return (
    <div className="flex flex-col items-start gap-1">
      {line || !MathField ? (
        typed
      ) : (
        <span className="flex flex-wrap items-center gap-3">
          <MathField
            label={`Your answer to ${heading}`}
            text={textOf(value)}
            disabled={disabled}
            onChange={(text) => onChange({ text })}
          />
          <span className="text-[0.85em] whitespace-nowrap text-quiet">in {face.names.join(', ')}</span>
        </span>
      )}
      {disabled || !MathField ? null : (
        <Button kind="quiet" size="small" className="-ml-2" onClick={turn}>
          {line ? 'Type it as it is written by hand' : 'Type it in a line'}
        </Button>
      )}
    </div>
  )
}

import {
  useId,
  type InputHTMLAttributes,
  type Ref,
  type ReactNode,
  type SelectHTMLAttributes,
  type TextareaHTMLAttributes,
} from 'react'

type Shared = { label: string; note?: ReactNode; fault?: string; hideLabel?: boolean }

function Frame({ id, label, note, fault, hideLabel, children }: Shared & { id: string; children: ReactNode }) {
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'text-sm font-semibold'}>
        {label}
      </label>
      {children}
      {note ? (
        <p id={`${id}-note`} className="text-sm text-quiet">
          {note}
        </p>
      ) : null}
      {fault ? (
        <p id={`${id}-fault`} className="text-sm font-semibold text-bad">
          ✕ {fault}
        </p>
      ) : null}
    </div>
  )
}

const aria = (id: string, note: unknown, fault: unknown) => ({
  id,
  'aria-invalid': fault ? true : undefined,
  'aria-describedby': [note ? `${id}-note` : '', fault ? `${id}-fault` : ''].filter(Boolean).join(' ') || undefined,
})

export function TextField({
  label,
  note,
  fault,
  hideLabel,
  inputRef,
  className = '',
  ...rest
}: Shared & { inputRef?: Ref<HTMLInputElement> } & InputHTMLAttributes<HTMLInputElement>) {
  const id = useId()
  return (
    <Frame id={id} {...{ label, note, fault, hideLabel }}>
      <input ref={inputRef} {...aria(id, note, fault)} className={`field ${className}`} {...rest} />
    </Frame>
  )
}

export function AreaField({
  label,
  note,
  fault,
  hideLabel,
  className = '',
  ...rest
}: Shared & TextareaHTMLAttributes<HTMLTextAreaElement>) {
  const id = useId()
  return (
    <Frame id={id} {...{ label, note, fault, hideLabel }}>
      <textarea {...aria(id, note, fault)} className={`field ${className}`} {...rest} />
    </Frame>
  )
}

export function SelectField({
  label,
  note,
  fault,
  hideLabel,
  className = '',
  children,
  ...rest
}: Shared & SelectHTMLAttributes<HTMLSelectElement>) {
  const id = useId()
  return (
    <Frame id={id} {...{ label, note, fault, hideLabel }}>
      <select {...aria(id, note, fault)} className={`field ${className}`} {...rest}>
        {children}
      </select>
    </Frame>
  )
}

export function Tick({ label, ...rest }: { label: ReactNode } & InputHTMLAttributes<HTMLInputElement>) {
  return (
    <label className="flex items-start gap-2 py-0.5">
      <input type="checkbox" className="mt-1 size-4 shrink-0 accent-rust" {...rest} />
      <span>{label}</span>
    </label>
  )
}

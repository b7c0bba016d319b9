import { Label } from 'radix-ui'
import { useId, type InputHTMLAttributes, type ReactNode, type Ref, type TextareaHTMLAttributes } from 'react'

export type Labelled = { label: string; note?: ReactNode; fault?: string; hideLabel?: boolean }

/** What stands around whatever is filled in: its label above, its note and its fault below. */
export function Frame({ id, label, note, fault, hideLabel, children }: Labelled & { id: string; children: ReactNode }) {
  return (
    <div className="flex flex-col gap-1">
      <Label.Root htmlFor={id} className={hideLabel ? 'sr-only' : 'text-sm font-semibold'}>
        {label}
      </Label.Root>
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

/** Ties a control to its note and fault. */
export const told = (id: string, note: unknown, fault: unknown) => ({
  id,
  'aria-invalid': fault ? true : undefined,
  'aria-describedby': [note ? `${id}-note` : '', fault ? `${id}-fault` : ''].filter(Boolean).join(' ') || undefined,
})

export function TextField({
  label,
  note,
  fault,
  hideLabel,
  inPlace = false,
  className = '',
  ...rest
}: Labelled & {
  ref?: Ref<HTMLInputElement>
  /** without a box, on the sheet as it will be read */
  inPlace?: boolean
} & InputHTMLAttributes<HTMLInputElement>) {
  const id = useId()
  return (
    <Frame id={id} {...{ label, note, fault, hideLabel }}>
      <input {...told(id, note, fault)} className={`${inPlace ? 'in-place' : 'field'} ${className}`} {...rest} />
    </Frame>
  )
}

export function AreaField({
  label,
  note,
  fault,
  hideLabel,
  inPlace = false,
  className = '',
  ...rest
}: Labelled & { ref?: Ref<HTMLTextAreaElement>; inPlace?: boolean } & TextareaHTMLAttributes<HTMLTextAreaElement>) {
  const id = useId()
  return (
    <Frame id={id} {...{ label, note, fault, hideLabel }}>
      <textarea {...told(id, note, fault)} className={`${inPlace ? 'in-place' : 'field'} ${className}`} {...rest} />
    </Frame>
  )
}

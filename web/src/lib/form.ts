import { zodResolver } from '@hookform/resolvers/zod'
import { useRef, useState, type FormEvent } from 'react'
import { useForm as useFields, useWatch, type DefaultValues, type FieldValues, type Path } from 'react-hook-form'
import * as z from 'zod/mini'
import { problemOf, type Problem } from './api/client'

/** A text that must not be left blank; `says` what to do. */
export const asked = (says: string) => z.string().check(z.trim(), z.minLength(1, says))

/** As `asked`, where blanks at the ends matter, as in a password. */
export const askedAsTyped = (says: string, least = 1) => z.string().check(z.minLength(least, says))

/**
 * A form: what is typed is looked at when it is sent, first here, then by the server; whoever finds a fault, it stands at its
 * field. Nothing typed is lost by a refusal.
 */
export function useForm<Typed extends FieldValues>({
  shape,
  start,
  send,
}: {
  shape: z.ZodMiniType<Typed, Typed>
  start: Typed
  /** `again`: it was only looked at, and may be sent once more. */
  send: (typed: Typed) => Promise<unknown>
}) {
  const form = useFields<Typed>({ resolver: zodResolver(shape), defaultValues: start as DefaultValues<Typed> })
  const [problem, setProblem] = useState<Problem | null>(null)
  const [placed, setPlaced] = useState(false)
  // Sent, or on its way: a second Enter sends nothing.
  const gone = useRef(false)
  const { errors, isSubmitting } = form.formState
  const fault = (name: Path<Typed>) => errors[name]?.message as string | undefined
  const refused = (thrown: unknown) => {
    gone.current = false
    const found = problemOf(thrown)
    const own = Object.entries(found.fields).filter(([name]) => name in start)
    own.forEach(([name, message], i) => form.setError(name as Path<Typed>, { message }, { shouldFocus: i === 0 }))
    setProblem(found)
    setPlaced(own.length > 0 && own.length === Object.keys(found.fields).length)
  }
  const submit = (event?: FormEvent) => {
    event?.preventDefault()
    // A dialog may stand over another form; its own submit must not reach it.
    event?.stopPropagation()
    if (gone.current) return
    setProblem(null)
    return form.handleSubmit((typed) => {
      gone.current = true
      return send(typed).then((said) => {
        if (said === 'again') gone.current = false
      }, refused)
    })()
  }
  return {
    /** For a field of the browser: what it is called, its fault, and how it is read. */
    field: (name: Path<Typed>) => ({ ...form.register(name), fault: fault(name) }),
    fault,
    values: useWatch({ control: form.control }) as Typed,
    /** For controls that are no field of the browser. */
    set: <Name extends Path<Typed>>(name: Name, value: Typed[Name]) =>
      form.setValue(name, value as never, { shouldDirty: true, shouldValidate: form.formState.isSubmitted }),
    reset: () => {
      gone.current = false
      form.reset(start)
    },
    submit,
    /** What the server refused, whether or not it stands at the fields. */
    refusal: problem,
    /** What it refused and belongs to no field of the form. */
    problem: placed ? null : problem,
    busy: isSubmitting,
  }
}

import { useState, type FormEvent } from 'react'
import { problemOf } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { AreaField, TextField } from '@/ui/Field'
import { useAddTerm } from './terms'

/** Names a new skill, or a new misconception with what it looks like and what to do next. */
export function TermDialog({
  kind,
  onClose,
  onMade,
}: {
  kind: 'skills' | 'misconceptions'
  onClose: () => void
  onMade: (id: string) => void
}) {
  const [name, setName] = useState('')
  const [looksLike, setLooksLike] = useState('')
  const [nextStep, setNextStep] = useState('')
  const add = useAddTerm(kind)
  const problem = add.error ? problemOf(add.error) : null
  const idea = kind === 'misconceptions'
  const submit = (event: FormEvent) => {
    event.preventDefault()
    // A dialog may stand over another form; its own submit must not reach it.
    event.stopPropagation()
    add.mutate({ name, looksLike, nextStep }, { onSuccess: (made) => (onMade(made.id), onClose()) })
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={idea ? 'New misconception' : 'New skill'}
      foot={
        <Button kind="do" type="submit" form="term" disabled={add.isPending}>
          {idea ? 'Add the misconception' : 'Add the skill'}
        </Button>
      }
    >
      <form id="term" onSubmit={submit} className="flex flex-col gap-3">
        <TextField
          label={idea ? 'What the student thinks' : 'Name'}
          placeholder={idea ? 'such as: the tide falls evenly' : 'such as: reading a tide table'}
          value={name}
          onChange={(e) => setName(e.target.value)}
          fault={problem?.fields.name ?? (problem && !problem.fields.looksLike ? problem.message : undefined)}
          autoFocus
        />
        {idea ? (
          <>
            <AreaField
              label="What it looks like"
              rows={2}
              maxLength={1000}
              value={looksLike}
              onChange={(e) => setLooksLike(e.target.value)}
            />
            <AreaField
              label="What to do next"
              rows={2}
              maxLength={1000}
              value={nextStep}
              onChange={(e) => setNextStep(e.target.value)}
            />
          </>
        ) : null}
      </form>
    </Dialog>
  )
}

import { useState, type FormEvent } from 'react'
import { problemOf, type Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { Button } from './Button'
import { Dialog } from './Dialog'
import { AreaField, TextField } from './Field'
import { useTerm } from '@/lib/terms'

/** Names a skill, or a misconception with what it looks like and what to do next: a new one, or one that is there. */
export function TermDialog({
  kind,
  term = null,
  onClose,
  onMade,
}: {
  kind: 'skills' | 'misconceptions'
  term?: Schemas['BankTermView'] | null
  onClose: () => void
  onMade: (id: string) => void
}) {
  const [name, setName] = useState(term?.name ?? '')
  const [looksLike, setLooksLike] = useState(term?.looksLike ?? '')
  const [nextStep, setNextStep] = useState(term?.nextStep ?? '')
  const save = useTerm(kind, term?.id ?? null)
  const problem = save.error ? problemOf(save.error) : null
  const idea = kind === 'misconceptions'
  const what = idea ? 'misconception' : 'skill'
  const submit = (event: FormEvent) => {
    event.preventDefault()
    // A dialog may stand over another form; its own submit must not reach it.
    event.stopPropagation()
    save.mutate({ name, looksLike, nextStep }, { onSuccess: (made) => (onMade(made.id), onClose()) })
  }
  return (
    <Dialog
      open
      onClose={onClose}
      title={term ? `Change the ${what}` : `New ${what}`}
      foot={
        <Button kind="do" type="submit" form="term" disabled={save.isPending}>
          {term ? 'Change it' : `Add the ${what}`}
        </Button>
      }
    >
      {term && term.questions > 1 ? (
        <p className="mb-3 text-quiet">{plural(term.questions, 'question')} of the bank name it; all of them follow.</p>
      ) : null}
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

import * as z from 'zod/mini'
import type { Schemas } from '@/lib/api/client'
import { asked, useForm } from '@/lib/form'
import { plural } from '@/lib/format'
import { Button } from './Button'
import { Dialog } from './Dialog'
import { AreaField, TextField } from './Field'
import { FaultLine } from './States'
import { useTerm } from '@/lib/terms'

const shape = z.object({ name: asked('Give it a name.'), looksLike: z.string(), nextStep: z.string() })

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
  const save = useTerm(kind, term?.id ?? null)
  const idea = kind === 'misconceptions'
  const what = idea ? 'misconception' : 'skill'
  const form = useForm({
    shape,
    start: { name: term?.name ?? '', looksLike: term?.looksLike ?? '', nextStep: term?.nextStep ?? '' },
    send: async (typed) => {
      onMade((await save.mutateAsync(typed)).id)
      onClose()
    },
  })
  return (
    <Dialog
      open
      onClose={onClose}
      title={term ? `Change the ${what}` : `New ${what}`}
      foot={
        <Button kind="do" type="submit" form="term" disabled={form.busy}>
          {term ? 'Change it' : `Add the ${what}`}
        </Button>
      }
    >
      {term && term.questions > 1 ? (
        <p className="mb-3 text-quiet">{plural(term.questions, 'question')} of the bank name it; all of them follow.</p>
      ) : null}
      <form id="term" onSubmit={(e) => void form.submit(e)} className="flex flex-col gap-3">
        <TextField
          label={idea ? 'What the student thinks' : 'Name'}
          placeholder={idea ? 'such as: the tide falls evenly' : 'such as: reading a tide table'}
          {...form.field('name')}
          autoFocus
        />
        {idea ? (
          <>
            <AreaField label="What it looks like" rows={2} maxLength={1000} {...form.field('looksLike')} />
            <AreaField label="What to do next" rows={2} maxLength={1000} {...form.field('nextStep')} />
          </>
        ) : null}
        <FaultLine error={form.problem} />
      </form>
    </Dialog>
  )
}

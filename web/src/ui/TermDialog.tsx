import * as z from 'zod/mini'
import type { Schemas } from '@/lib/api/client'
import { asked, useForm } from '@/lib/form'
import { plural } from '@/lib/format'
import { Button } from './Button'
import { Dialog } from './Dialog'
import { AreaField, TextField } from './Field'
import { FaultLine } from './States'
import { inTree, withBelow } from '@/lib/termTree'
import { useTerm, useTerms } from '@/lib/terms'
import { SelectField } from './Select'

const shape = z.object({
  name: asked('Give it a name.'),
  looksLike: z.string(),
  nextStep: z.string(),
  parent: z.nullable(z.string()),
})

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
  const { data: terms } = useTerms()
  const skills = terms?.skills ?? []
  const below = term ? withBelow(skills, term.id) : new Set<string>()
  const above = inTree(skills)
    .filter((one) => !below.has(one.id))
    .map((one) => ({ value: one.id, label: `${'– '.repeat(one.depth)}${one.name}` }))
  const form = useForm({
    shape,
    start: {
      name: term?.name ?? '',
      looksLike: term?.looksLike ?? '',
      nextStep: term?.nextStep ?? '',
      parent: term?.parent ?? null,
    },
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
        ) : (
          <SelectField
            label="Stands below"
            value={form.values.parent ?? ''}
            onChange={(id) => form.set('parent', id === '' ? null : id)}
            fault={form.fault('parent')}
            options={[{ value: '', label: 'nothing: at the top' }, ...above]}
          />
        )}
        <FaultLine error={form.problem} />
      </form>
    </Dialog>
  )
}

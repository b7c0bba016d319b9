import { useState } from 'react'
import { plural } from '@/lib/format'
import { useTogether } from '@/lib/terms'
import { Button } from '@/ui/Button'
import { Combobox } from '@/ui/Combobox'
import { Confirm } from '@/ui/Confirm'
import { FaultLine } from '@/ui/States'
import { toast } from '@/ui/toast'
import type { Kind, Term } from '@/lib/termTree'

/** Two that turned out to be the same: one is put together with the other, which stands for both, and can be taken apart again. */
export function TheSame({
  kind,
  term,
  all,
  onDone,
}: {
  kind: Kind
  term: Term
  all: readonly Term[]
  onDone: (id: string) => void
}) {
  const [into, setInto] = useState('')
  const { put, apart } = useTogether(kind)
  const other = all.find((one) => one.id === into)
  const what = kind === 'skills' ? 'skill' : 'wrong idea'
  const together = async () => {
    if (!other) return
    await put.mutateAsync({ id: term.id, into: other.id })
    onDone(other.id)
    toast(`“${term.name}” is part of “${other.name}” now.`, { undo: () => apart.mutate(term.id) })
  }
  return (
    <section className="flex flex-col gap-3">
      {term.also.length > 0 ? (
        <div>
          <h3 className="text-base">Stands for these too</h3>
          <ul>
            {term.also.map((one) => (
              <li key={one.id} className="flex items-center gap-3 border-b py-1.5">
                <span className="min-w-0 flex-1">{one.name}</span>
                <Button size="small" disabled={apart.isPending} onClick={() => apart.mutate(one.id)}>
                  Take apart
                </Button>
              </li>
            ))}
          </ul>
        </div>
      ) : null}
      {all.length > 1 ? (
        <Combobox
          label="The same as"
          value=""
          onChange={setInto}
          options={[
            { value: '', label: `another ${what}` },
            ...all.filter((one) => one.id !== term.id).map((one) => ({ value: one.id, label: one.name })),
          ]}
        />
      ) : null}
      <FaultLine error={put.error ?? apart.error} />
      <Confirm
        open={other !== undefined}
        title={`“${term.name}” becomes part of “${other?.name ?? ''}”`}
        act="Put them together"
        onClose={() => setInto('')}
        onAct={() => {
          setInto('')
          void together()
        }}
      >
        <p>
          {term.questions === 0
            ? 'No question of the bank names it'
            : `${plural(term.questions, 'question')} of the bank will name “${other?.name ?? ''}” instead`}
          , and so will drafts of papers. Published papers stay as they are; what was answered to them counts under the
          one name from now on.
        </p>
        <p className="mt-2 text-quiet">It can be taken apart again.</p>
      </Confirm>
    </section>
  )
}

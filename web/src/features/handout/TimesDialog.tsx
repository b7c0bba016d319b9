import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState, type FormEvent } from 'react'
import { api, problemOf, take, type Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { fromLocal, toLocal } from '@/lib/locale'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { FaultLine } from '@/ui/States'
import { toast } from '@/ui/Toasts'
import { useWithdraw } from './useWithdraw'
import { WindowFields, type Typed } from './WindowFields'

type Handout = Schemas['HandoutHandoutView']
type Window = Schemas['HandoutHandoutChangeInput']

/** Sets when a handout is there for its students. What was set before can be had back. */
export function useWindow(handout: Handout) {
  const client = useQueryClient()
  const set = (body: Window) =>
    take(api.PUT('/api/handouts/{id}', { params: { path: { id: handout.id } }, body })).then(() =>
      client.invalidateQueries({ queryKey: ['handouts'] }),
    )
  const before: Window = { visible: handout.visible, opensAt: handout.opensAt, closesAt: handout.closesAt }
  return { set, before }
}

/** The field goes by minutes; what was not touched keeps its seconds. */
const at = (text: string, was: string | null) => (text === toLocal(was) ? was : fromLocal(text))

/** When students can begin, until when they can work, and whether they see it at all. */
export function TimesDialog({ handout, onClose }: { handout: Handout; onClose: () => void }) {
  const { set, before } = useWindow(handout)
  const withdraw = useWithdraw()
  const [typed, setTyped] = useState<Typed>(() => ({
    visible: handout.visible,
    opens: toLocal(handout.opensAt),
    closes: toLocal(handout.closesAt),
  }))
  const save = useMutation({
    mutationFn: () =>
      set({
        visible: typed.visible,
        opensAt: at(typed.opens, handout.opensAt),
        closesAt: at(typed.closes, handout.closesAt),
      }),
    onSuccess: () => {
      onClose()
      toast(`The times of “${handout.title}” are set.`, { undo: () => void set(before) })
    },
  })
  const problem = save.error ? problemOf(save.error) : null
  const past = typed.closes !== '' && new Date(typed.closes) <= new Date()
  const submit = (event: FormEvent) => {
    event.preventDefault()
    save.mutate()
  }
  return (
    <Dialog open onClose={onClose} title={`Times of “${handout.title}”`}>
      <form onSubmit={submit} className="flex max-w-sm flex-col gap-3">
        <WindowFields
          typed={typed}
          onChange={setTyped}
          faults={problem?.fields}
          closesNote={
            past
              ? 'That is past: what students have entered is handed in at once.'
              : 'Empty: when you close it. What is entered by then is handed in.'
          }
        />
        {!typed.visible && handout.open > 0 ? (
          <p role="note" className="text-[15px] font-semibold">
            {plural(handout.open, 'student')} {handout.open === 1 ? 'is' : 'are'} at work: they cannot go on until it is
            shown again, and what they entered stays.
          </p>
        ) : null}
        {problem && Object.keys(problem.fields).length === 0 ? <FaultLine error={problem} /> : null}
        <p className="flex flex-wrap gap-3">
          <Button kind="do" type="submit" disabled={save.isPending}>
            Set the times
          </Button>
          {handout.open + handout.handedIn === 0 ? (
            <Button
              type="button"
              onClick={() => {
                onClose()
                void withdraw(handout.id)
              }}
            >
              Take it back
            </Button>
          ) : null}
        </p>
      </form>
    </Dialog>
  )
}

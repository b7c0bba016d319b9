import { useQueryClient } from '@tanstack/react-query'
import * as z from 'zod/mini'
import { api, take, type Schemas } from '@/lib/api/client'
import { useForm } from '@/lib/form'
import { plural } from '@/lib/format'
import { fromLocal, toLocal } from '@/lib/locale'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { FaultLine } from '@/ui/States'
import { toast } from '@/ui/toast'
import { useWithdraw } from './useWithdraw'
import { WindowFields, windowShape } from './WindowFields'

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

const shape = z.object(windowShape)

/** When students can begin, until when they can work, and whether they see it at all. */
export function TimesDialog({ handout, onClose }: { handout: Handout; onClose: () => void }) {
  const { set, before } = useWindow(handout)
  const withdraw = useWithdraw()
  const form = useForm({
    shape,
    start: { visible: handout.visible, opensAt: toLocal(handout.opensAt), closesAt: toLocal(handout.closesAt) },
    send: async (typed) => {
      await set({
        visible: typed.visible,
        opensAt: at(typed.opensAt, handout.opensAt),
        closesAt: at(typed.closesAt, handout.closesAt),
      })
      onClose()
      toast(`The times of “${handout.title}” are set.`, { undo: () => void set(before) })
    },
  })
  const typed = form.values
  const past = typed.closesAt !== '' && new Date(typed.closesAt) <= new Date()
  return (
    <Dialog open onClose={onClose} title={`Times of “${handout.title}”`}>
      <form onSubmit={(e) => void form.submit(e)} className="flex max-w-sm flex-col gap-3">
        <WindowFields
          typed={typed}
          set={form.set}
          fault={form.fault}
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
        <FaultLine error={form.problem} />
        <p className="flex flex-wrap gap-3">
          <Button kind="do" type="submit" disabled={form.busy}>
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

import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { kindOf } from '@/answers/registry'
import { RuleEditor } from '@/answers/RuleEditor'
import { api, take, type Schemas } from '@/lib/api/client'
import { begun, plural } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { SelectField } from '@/ui/Select'
import { FaultLine } from '@/ui/States'
import { toast } from '@/ui/toast'
import { refreshKeys, takeKeyBack } from './keyChanges'
import type { Answer } from './order'

type Props = {
  desk: Schemas['MarkingDeskView']
  accept: Answer | null
  onClose: () => void
}

/** Change a key after the class has sat: first who gains and who loses, then apply, then undo if wanted. */
export function KeyDialog({ desk, accept, onClose }: Props) {
  const client = useQueryClient()
  const { accepting } = kindOf(desk.item.type)
  const [item, setItem] = useState(desk.item)
  const [credit, setCredit] = useState('1')
  const [feedback, setFeedback] = useState('')
  const [reason, setReason] = useState('')
  const [effect, setEffect] = useState<Schemas['MarkingKeyChangeView'] | null>(null)
  const [error, setError] = useState<unknown>(null)
  const [busy, setBusy] = useState(false)
  const path = { id: desk.handoutId, entry: desk.entry }
  const body = accept ? { accept: accept.response, credit, feedback } : { rule: item.rule }
  const act = async (work: () => Promise<void>) => {
    setBusy(true)
    setError(null)
    try {
      await work()
    } catch (thrown) {
      setError(thrown)
    } finally {
      setBusy(false)
    }
  }
  const preview = () =>
    act(async () =>
      setEffect(await take(api.POST('/api/handouts/{id}/keys/{entry}/preview', { params: { path }, body }))),
    )
  const apply = () =>
    act(async () => {
      const done = await take(
        api.POST('/api/handouts/{id}/keys/{entry}', { params: { path }, body: { ...body, reason: reason.trim() } }),
      )
      onClose()
      toast(
        `Re-marked: ${done.gains.length} gain, ${done.loses.length} lose.${done.bankToo ? ' The bank has the new key too.' : ''}`,
        { undo: () => void takeKeyBack(client, done.changeId ?? '') },
      )
      await refreshKeys(client)
    })
  const untouched = !accept && item === desk.item
  const nothing = effect && effect.gains.length + effect.loses.length === 0
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={accept ? `Accept “${begun(accept.given)}”` : `Change the key of question ${desk.number}`}
      foot={
        effect ? (
          <>
            <Button onClick={() => setEffect(null)}>Back</Button>
            <Button kind="do" disabled={busy} onClick={() => void apply()}>
              {nothing ? 'Change the key' : `Re-mark ${plural(effect.gains.length + effect.loses.length, 'answer')}`}
            </Button>
          </>
        ) : (
          <Button kind="do" disabled={busy || untouched} onClick={() => void preview()}>
            {untouched ? 'Nothing is changed yet' : 'See who gains and who loses'}
          </Button>
        )
      }
    >
      <FaultLine error={error} />
      {effect ? (
        <div className="flex flex-col gap-4">
          <p>
            {effect.same > 0 ? `${plural(effect.same, 'answer')} keep their marks. ` : ''}
            {effect.byHand > 0 ? `${effect.byHand} marked by hand are left alone. ` : ''}
            {effect.returned > 0 ? `${effect.returned} of the changed are already back with their students. ` : ''}
            This holds for every handout of this edition, and can be undone.
          </p>
          <TextField
            label="Why, for the team; it stays in the history"
            maxLength={500}
            value={reason}
            onChange={(e) => setReason(e.target.value)}
            placeholder="such as: the table gives it in metres"
          />
          <Effects title="Gain" list={effect.gains} />
          <Effects title="Lose" list={effect.loses} />
        </div>
      ) : accept ? (
        <div className="flex flex-col gap-3">
          <p>{accepting?.says}</p>
          {accepting?.inPart ? (
            <SelectField
              label="Credit"
              value={credit}
              onChange={setCredit}
              options={[
                { value: '1', label: 'full credit' },
                { value: '3/4', label: 'credit 3/4' },
                { value: '1/2', label: 'credit 1/2' },
                { value: '1/4', label: 'credit 1/4' },
              ]}
            />
          ) : null}
          {accepting?.inPart ? (
            <TextField
              label="A note to those students"
              value={feedback}
              onChange={(e) => setFeedback(e.target.value)}
              placeholder="such as: watch the spelling"
            />
          ) : null}
        </div>
      ) : (
        <RuleEditor item={item} onChange={setItem} />
      )}
    </Dialog>
  )
}

function Effects({ title, list }: { title: string; list: Schemas['MarkingEffectView'][] }) {
  return (
    <section>
      <h3 className="text-lg">
        {title}: {list.length === 0 ? 'nobody' : plural(list.length, 'answer')}
      </h3>
      {list.length > 0 ? (
        <table className="mt-1 w-full text-[15px]">
          <caption className="sr-only">Whose marks change, from what to what</caption>
          <thead>
            <tr className="border-b text-left text-sm text-quiet">
              <th scope="col" className="font-medium">
                Student
              </th>
              <th scope="col" className="font-medium">
                Answer
              </th>
              <th scope="col" className="text-right font-medium">
                Marks
              </th>
            </tr>
          </thead>
          <tbody>
            {list.map((e, i) => (
              <tr key={i} className="border-b">
                <td className="py-1 pr-3">{e.student}</td>
                <td className="pr-3">{e.given}</td>
                <td className="text-right whitespace-nowrap tabular-nums">
                  {e.before} → <b>{e.after}</b>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
    </section>
  )
}

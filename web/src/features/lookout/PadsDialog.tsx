import { useState } from 'react'
import type { Schemas } from '@/lib/api/client'
import { percent, timeOfDay } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Combobox } from '@/ui/Combobox'
import { Dialog } from '@/ui/Dialog'
import { TextField } from '@/ui/Field'
import { FaultLine } from '@/ui/States'
import type { Row } from './rows'

type Pads = Schemas['LookoutPadsView']

/** Who has which answer pad, what was heard of each, and the key by which their receiver is known. */
export function PadsDialog({
  handoutId,
  pads,
  keyNow,
  rows,
  nameOf,
  error,
  onOpen,
  onShut,
  onGive,
  onClose,
}: {
  handoutId: string
  pads: Pads
  /** of the receiver; known only just after it was made */
  keyNow: string | null
  rows: Row[]
  nameOf: (row: Row) => string
  error: unknown
  onOpen: () => void
  onShut: () => void
  onGive: (pad: string, student: string | null) => void
  onClose: () => void
}) {
  const [giving, setGiving] = useState<string | null>(null)
  const [fresh, setFresh] = useState('')
  const who = (id: string | null) => {
    const row = rows.find((r) => r.studentId === id)
    return row ? nameOf(row) : ''
  }
  const options = [{ value: '', label: 'nobody' }, ...rows.map((row) => ({ value: row.studentId, label: nameOf(row) }))]
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title="Answer pads"
      foot={
        <>
          {pads.open ? <Button onClick={onShut}>Stop listening</Button> : null}
          <Button kind="do" onClick={onOpen}>
            {pads.open ? 'New key for the receiver' : 'Listen to a receiver'}
          </Button>
        </>
      }
    >
      <div className="flex flex-col gap-4">
        <p className="text-[15px] text-quiet">
          A pad sends a letter, or what is typed on it, for a question of this paper; its receiver hands that on. It is
          the answer of whoever has the pad, and a later press changes it. The letters are those of the written order.
        </p>
        {keyNow ? (
          <div className="rounded border border-blue px-3 py-2">
            <p>Give this to the receiver; it is shown only now. The one before is no longer listened to.</p>
            <p className="mt-1 font-mono text-[15px] break-all select-all">
              bin/pads {handoutId} {keyNow}
            </p>
          </div>
        ) : (
          <p>{pads.open ? 'A receiver is listened to.' : 'No receiver is listened to.'}</p>
        )}
        <FaultLine error={error} />
        {pads.pads.length > 0 ? (
          <table className="w-full text-[15px]">
            <caption className="sr-only">Pads, who has each, and when it was heard last</caption>
            <thead>
              <tr className="text-left text-sm text-quiet">
                <th scope="col" className="py-1 pr-4 font-normal">
                  Pad
                </th>
                <th scope="col" className="font-normal">
                  Who has it
                </th>
                <th scope="col" className="font-normal">
                  Heard last
                </th>
                <th scope="col" className="font-normal">
                  Battery
                </th>
              </tr>
            </thead>
            <tbody>
              {pads.pads.map((pad) => (
                <tr key={pad.pad} className="border-t">
                  <th scope="row" className="py-1 pr-4 text-left tabular-nums">
                    {pad.pad}
                  </th>
                  <td className="pr-4">
                    {giving === pad.pad ? (
                      <Combobox
                        label={`Who has pad ${pad.pad}`}
                        hideLabel
                        value={pad.student ?? ''}
                        options={options}
                        onChange={(student) => {
                          setGiving(null)
                          onGive(pad.pad, student || null)
                        }}
                      />
                    ) : (
                      <Button kind="quiet" size="small" onClick={() => setGiving(pad.pad)}>
                        {who(pad.student) || 'nobody'}
                        <span className="sr-only"> has pad {pad.pad}, change</span>
                      </Button>
                    )}
                  </td>
                  <td>
                    {pad.at ? timeOfDay(new Date(pad.at)) : <span className="text-quiet">not yet</span>}
                    {pad.strays > 0 ? (
                      <b className="ml-2 font-semibold text-blue">
                        pressed {pad.strays === 1 ? 'once' : `${pad.strays} times`}, and nobody has it
                      </b>
                    ) : null}
                  </td>
                  <td className="tabular-nums">
                    {pad.battery === null ? '' : percent(pad.battery)}
                    {pad.low ? <b className="ml-2 font-semibold">low</b> : null}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        ) : null}
        {pads.pads.length > 0 ? (
          <form
            className="flex items-end gap-2"
            onSubmit={(e) => {
              e.preventDefault()
              if (!/^[A-Za-z0-9]{1,8}$/.test(fresh.trim())) return
              onGive(fresh.trim().toUpperCase(), null)
              setFresh('')
            }}
          >
            <div className="w-32">
              <TextField
                label="Another pad"
                maxLength={8}
                value={fresh}
                placeholder="its number"
                onChange={(e) => setFresh(e.target.value)}
              />
            </div>
            <Button type="submit" size="small" disabled={fresh.trim() === ''}>
              Add it
            </Button>
          </form>
        ) : null}
      </div>
    </Dialog>
  )
}

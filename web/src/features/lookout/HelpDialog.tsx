import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, take } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { Dialog } from '@/ui/Dialog'
import { Radios } from '@/ui/Radios'
import { Failed, FaultLine, Loading } from '@/ui/States'

/** Asks a student who has the question right to help one who is stuck on it. */
export function HelpDialog({
  sitting,
  name,
  entry,
  number,
  onAsk,
  onClose,
}: {
  /** of the one who is stuck */
  sitting: string
  name: string
  entry: string
  number: number
  onAsk: (helper: { id: string; name: string }) => Promise<void>
  onClose: () => void
}) {
  const [chosen, setChosen] = useState('')
  const [error, setError] = useState<unknown>(null)
  const path = { id: sitting, entry }
  const found = useQuery({
    queryKey: ['helpers', sitting, entry],
    queryFn: () => take(api.GET('/api/sittings/{id}/helpers/{entry}', { params: { path } })),
    gcTime: 0,
  })
  const helpers = found.data?.helpers ?? []
  const helper = helpers.find(({ id }) => id === chosen) ?? helpers[0]
  return (
    <Dialog
      open
      onClose={onClose}
      title={`Help for ${name} with question ${number}`}
      foot={
        helper ? (
          <Button kind="do" onClick={() => void onAsk(helper).then(onClose, setError)}>
            Ask {helper.name}
          </Button>
        ) : null
      }
    >
      {found.isPending ? <Loading what="Looking who has it right" /> : null}
      {found.isError ? <Failed error={found.error} retry={() => void found.refetch()} /> : null}
      {found.data && helpers.length === 0 ? (
        <p>
          Nobody is free who has this question right. As soon as somebody has, they can be asked; until then it is
          yours.
        </p>
      ) : null}
      {helper ? (
        <div className="flex flex-col gap-3">
          <Radios
            label="Who has it right and is free"
            value={helper.id}
            onChange={setChosen}
            options={helpers.map(({ id, name: of, done }) => ({
              value: id,
              label: `${of}${done ? ', has handed in' : ', at work'}`,
            }))}
          />
          <p className="text-[15px] text-quiet">
            Each sees this one question and what the other says, under another name. You read all of it. Names,
            addresses and long numbers wait until you let them through. Either of them, or you, can stop it.
          </p>
        </div>
      ) : null}
      <FaultLine error={error} />
    </Dialog>
  )
}

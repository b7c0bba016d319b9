import { percent, typeset } from '@/lib/format'
import { Button } from '@/ui/Button'
import { Explained } from '@/ui/Explained'
import { ToWork } from '@/ui/ToWork'
import type { Group, Member } from './groups'

type Props = {
  handoutId: string
  member: Member
  groups: Group[]
  /** What the aim comes to now, and with the student in each group; none where the aim is not weighed. */
  worth?: { now: string; elsewhere: string[] } | undefined
  onMove: (to: number) => void
}

/** Why a student stands where they stand, and what each move would do. */
export function WhyHere({ handoutId, member, groups, worth, onMove }: Props) {
  const { rate } = member
  const others = groups.map((group, place) => ({ group, place })).filter(({ group }) => !group.members.includes(member))
  return (
    <div className="flex flex-col gap-4">
      <div className="flex items-baseline gap-3">
        <h2 className="flex-1 text-lg">{member.name}</h2>
        <span className="font-semibold text-blue underline">
          <ToWork handoutId={handoutId} studentId={member.studentId}>
            Their work
          </ToWork>
        </span>
      </div>
      <p className="text-[15px]">
        {typeset(member.reason)}
        {rate && rate.value !== null ? (
          <>
            {' Rate '}
            <Explained figure={rate} label={`Rate of ${member.name}`} show={percent}>
              <span className="tabular-nums">{percent(rate.value)}</span>
            </Explained>
            {rate.low === null || rate.high === null
              ? ''
              : `, ${percent(rate.low).replace(' %', '')} to ${percent(rate.high)}`}
            {rate.note === 'few' ? ', few' : ''}.
          </>
        ) : null}
      </p>
      {member.share === null || member.share === undefined ? null : (
        <p className="text-[15px] text-quiet">{percent(member.share)} of the marks.</p>
      )}
      <section className="border-t pt-3">
        <h3 className="text-base">{worth ? 'If they were elsewhere' : 'Move to'}</h3>
        <ul className="mt-1">
          {others.map(({ group, place }) => (
            <li key={place} className="flex items-baseline gap-2 border-b py-1">
              <Button kind="quiet" size="small" aria-label={`Move to ${group.name}`} onClick={() => onMove(place)}>
                Move
              </Button>
              <span className="min-w-0 flex-1 text-[15px]">{group.name}</span>
              {worth ? (
                <span className="text-sm whitespace-nowrap text-quiet tabular-nums">
                  {worth.now} → {worth.elsewhere[place] ?? '…'}
                </span>
              ) : null}
            </li>
          ))}
        </ul>
      </section>
      <p className="text-sm text-quiet">Drag, or Alt with the arrows.</p>
    </div>
  )
}

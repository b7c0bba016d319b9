import type { Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { Rich } from '@/lib/Rich'
import { saidHtml } from '@/lib/said'
import { Bar, barOf } from '@/ui/Bar'

const WORDS: Record<string, string> = {
  right: 'Right',
  part: 'Partly right',
  wrong: 'Not right',
  none: 'No answer',
  'by hand': 'A teacher marks this',
  said: 'Not scored',
}

/** What a student is told of an answer, and out of how many marks, with the hints that were opened. Words and a bar; no red. */
export function Told({ step }: { step: Pick<Schemas['SittingStepView'], 'told' | 'points' | 'hints' | 'hintsCost'> }) {
  const told = step.told
  if (!told) return null
  return (
    <div role="status" className="flex flex-col gap-1 border-t pt-3">
      <p>
        {told.verdict === null ? null : (
          <>
            <Bar code={barOf(told.verdict)} /> <b>{WORDS[told.verdict] ?? told.verdict}</b>
          </>
        )}
        {told.marks !== null && told.verdict !== 'said' ? (
          <span className="text-quiet">
            {told.verdict === null ? '' : ', '}
            {told.marks} of {step.points} {step.points === '1' ? 'mark' : 'marks'}
            {step.hintsCost === '0' ? '' : `, ${plural(step.hints.length, 'hint')} taken off`}
          </span>
        ) : null}
      </p>
      {told.feedback ? <Rich html={saidHtml(told.feedback)} /> : null}
      {told.levels.map((level) => (
        <p key={level} className="text-[0.9em]">
          {level}
        </p>
      ))}
      {told.comment ? (
        <p>
          <b className="text-blue">Comment</b> {told.comment}
        </p>
      ) : null}
      {told.key && told.verdict !== 'right' ? (
        <div className="flex gap-2">
          <b>Key</b> <Rich html={told.key} />
        </div>
      ) : null}
      {told.explanation ? <Rich html={told.explanation} className="text-[0.9em]" /> : null}
      {told.picture ? <ClassPicture {...told.picture} /> : null}
    </div>
  )
}

/** How all who had the question did, without anybody's name: right, in part, neither. */
function ClassPicture({ n, right, part }: Schemas['SittingPictureView']) {
  return (
    <div className="text-[0.9em]">
      <span aria-hidden className="flex h-3 max-w-72 border border-edge">
        <span className="bg-r3" style={{ width: `${(100 * right) / n}%` }} />
        <span className="bg-r1" style={{ width: `${(100 * part) / n}%` }} />
      </span>
      <p className="text-quiet">
        Of {n} who answered, {right} had this right{part > 0 ? ` and ${part} in part` : ''}.
      </p>
    </div>
  )
}

import { RadioGroup } from 'radix-ui'
import { kindOf } from '@/answers/registry'
import type { Schemas } from '@/lib/api/client'
import { marks, rational } from '@/lib/format'
import { Bar, barOf } from '@/ui/Bar'
import { Button, Key } from '@/ui/Button'
import { later } from '@/ui/later'
import { MarkHistory } from './MarkHistory'
import { pointsOf, type Answer } from './order'
import { SHELF_KEYS, type Marking } from './useMarking'

// Few keys have ever changed.
const KeyHistory = later(() => import('./KeyHistory').then((it) => it.KeyHistory))

type Props = {
  desk: Schemas['MarkingDeskView']
  marking: Marking
  /** null where an answer cannot be taken into a key, or not by the reader */
  onAccept: ((answer: Answer) => void) | null
  mayChangeKey: boolean
}

/** What can be said of the answer at hand: rubric levels or the machine's verdict, a comment, and keeping it. */
export function MarkPanel({ desk, marking, onAccept, mayChangeKey }: Props) {
  const { answer, open } = marking
  const changes =
    desk.keyChanges.length > 0 ? <KeyHistory changes={desk.keyChanges} mayChangeKey={mayChangeKey} /> : null
  if (!answer)
    return (
      <div className="flex flex-col gap-5">
        <p className="text-quiet">No answer to mark.</p>
        {changes}
      </div>
    )
  return (
    <div className="flex flex-col gap-5">
      {open ? (
        <Rubric marking={marking} />
      ) : (
        <MachineMark
          answer={answer}
          asGiven={kindOf(desk.item.type).asGiven ?? false}
          marking={marking}
          onAccept={onAccept}
        />
      )}
      {desk.second ? (
        <p className="text-[15px] text-quiet">
          What you give here changes no mark. It is held against the first mark in the results, under Markers.
        </p>
      ) : (
        <Comment shelf={desk.shelf} marking={marking} />
      )}
      <Total desk={desk} marking={marking} />
      <MarkHistory history={answer.history} worth={rational(desk.item.points)} />
      {changes}
    </div>
  )
}

function Rubric({ marking }: { marking: Marking }) {
  const { criteria, levels, setLevels, active, setActive } = marking
  return (
    <>
      {criteria.map((criterion, i) => (
        <section key={i}>
          <h2 className={`text-lg ${active === i ? 'underline decoration-rung decoration-4 underline-offset-4' : ''}`}>
            {criterion.name}
          </h2>
          <RadioGroup.Root
            aria-label={criterion.name}
            className="mt-1 border-t"
            value={levels[i] === null || levels[i] === undefined ? '' : String(levels[i])}
            onValueChange={(picked) => {
              setLevels((old) => criteria.map((_, k) => (k === i ? Number(picked) : (old[k] ?? null))))
              setActive(Math.min(i + 1, criteria.length - 1))
            }}
          >
            {criterion.levels.map((level, j) => (
              <RadioGroup.Item
                key={j}
                value={String(j)}
                className={`flex w-full items-baseline gap-3 border-b px-2 py-1.5 text-left ${levels[i] === j ? 'rung-row font-bold' : 'hover:bg-sheet'}`}
              >
                <Key name={String(j)} />
                <span className="flex-1">{level.descriptor}</span>
                <span className="text-sm text-quiet tabular-nums">{marks(rational(level.points))}</span>
              </RadioGroup.Item>
            ))}
          </RadioGroup.Root>
        </section>
      ))}
    </>
  )
}

function MachineMark({
  answer,
  asGiven,
  marking,
  onAccept,
}: {
  answer: Answer
  asGiven: boolean
  marking: Marking
  onAccept: Props['onAccept']
}) {
  const { override } = marking
  return (
    <section>
      <h2 className="text-lg">The machine says</h2>
      <p className="mt-1">
        <Bar code={barOf(answer.verdict)} /> {answer.verdict}
        {answer.credit ? `, credit ${answer.credit}` : ''}
        {answer.byHand ? ' · set by hand' : ''}
      </p>
      {answer.readAs && !asGiven ? <p className="text-sm text-quiet">read as “{answer.readAs}”</p> : null}
      <div className="mt-3 flex flex-wrap gap-2">
        <Button size="small" hint="1" onClick={() => void override('1')}>
          Full
        </Button>
        <Button size="small" hint="2" onClick={() => void override('1/2')}>
          Half
        </Button>
        <Button size="small" hint="0" onClick={() => void override('0')}>
          None
        </Button>
        {answer.byHand ? (
          <Button size="small" hint="m" onClick={() => void override(null)}>
            As the machine
          </Button>
        ) : null}
      </div>
      {onAccept && (answer.byHand || answer.verdict !== 'right') ? (
        <Button className="mt-3" hint="o" onClick={() => onAccept(answer)}>
          Accept for all who gave it
        </Button>
      ) : null}
    </section>
  )
}

function Comment({ shelf, marking }: { shelf: string[]; marking: Marking }) {
  const { comment, setComment, box } = marking
  return (
    <section>
      <label className="font-head text-lg font-semibold" htmlFor="comment">
        Comment
      </label>
      <textarea
        id="comment"
        ref={box}
        className="field mt-1"
        rows={3}
        maxLength={2000}
        value={comment}
        onChange={(e) => setComment(e.target.value)}
        placeholder="c to write, Escape to leave"
      />
      {shelf.length > 0 ? (
        <ul aria-label="Comment shelf" className="mt-1 text-[15px]">
          {shelf.map((text, i) => (
            <li key={text}>
              <button
                className="flex items-baseline gap-2 py-0.5 text-left hover:underline"
                onClick={() => setComment((old) => (old ? `${old} ${text}` : text))}
              >
                <Key name={SHELF_KEYS[i] ?? ''} />
                <span>{text}</span>
              </button>
            </li>
          ))}
        </ul>
      ) : null}
    </section>
  )
}

function Total({ desk, marking }: { desk: Props['desk']; marking: Marking }) {
  const { open, criteria, levels, keep, undo } = marking
  const { reached, possible } = pointsOf(criteria, levels, rational)
  const worth = rational(desk.item.points)
  return (
    <div className="flex flex-wrap items-baseline gap-2">
      {open ? (
        <p className="w-full">
          <span className="font-head text-3xl font-semibold">
            {reached === null || possible === 0
              ? '–'
              : marks(Math.round(((reached / possible) * worth) / desk.markStep) * desk.markStep)}
          </span>{' '}
          <span className="text-quiet">of {marks(worth)}</span>
        </p>
      ) : null}
      <Button kind="do" hint="Enter" onClick={() => void keep()}>
        Keep and next
      </Button>
      <Button hint="z" onClick={() => void undo()}>
        Undo
      </Button>
    </div>
  )
}

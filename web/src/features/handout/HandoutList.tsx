import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { MANNERS, mannerOf, timeInWords } from '@/lib/conditions'
import { usePlans } from '@/lib/plans'
import { inWords } from '@/lib/telling'
import { moment, plural } from '@/lib/format'
import { standing, toReturn, toWhom, turn, useHandouts, type Handout } from '@/lib/handouts'
import { Button } from '@/ui/Button'
import { Aside, Facts } from '@/ui/Aside'
import { HANDED_OUT, OF_PAPER, TO_WHOM } from '@/ui/handoutColumns'
import { ListDesk } from '@/ui/ListDesk'
import { Share } from '@/ui/Share'
import { Empty } from '@/ui/States'
import { toast } from '@/ui/toast'
import { later } from '@/ui/later'
import { TimesDialog, useWindow } from './TimesDialog'

const LinkToWork = later(() => import('./LinkToWork').then((it) => it.LinkToWork))

/** What was handed out, how far it is, and whose turn it is. */
export default function HandoutList() {
  const navigate = useNavigate()
  const list = useHandouts()
  const [timing, setTiming] = useState<Handout | null>(null)
  const handOut = () => void navigate('/handouts/new')
  return (
    <>
      <ListDesk
        title="Handouts"
        note={list.data ? plural(list.data.handouts.length, 'handout') : ''}
        label="Handouts, the latest first"
        acts={
          <Button kind="do" hint="n" onClick={handOut}>
            Hand out
          </Button>
        }
        keys={{ n: { label: 'Hand out', run: handOut } }}
        list={{ ...list, data: list.data?.handouts }}
        first={null}
        words={(h) => `${h.title} ${toWhom(h)}`}
        picks={[
          { value: 'open', label: 'Open', of: (h) => h.status === 'open' },
          { value: 'later', label: 'Not yet', of: (h) => h.status === 'scheduled' || h.status === 'hidden' },
          { value: 'mark', label: 'To mark', of: (h) => h.waiting > 0 },
          { value: 'return', label: 'To return', of: (h) => h.waiting === 0 && toReturn(h) > 0 },
        ]}
        to={(h) => (h.handedIn > 0 && h.status !== 'open' ? `/results/${h.id}` : `/lookout/${h.id}`)}
        columns={[
          OF_PAPER,
          TO_WHOM,
          {
            id: 'status',
            head: 'Status',
            cell: (h) => (
              <span className={h.status === 'open' ? 'font-bold whitespace-nowrap text-good' : ''}>
                {h.status === 'open' ? '✓ ' : ''}
                {standing(h)}
              </span>
            ),
            sort: (h) => h.status,
          },
          { id: 'in', head: 'Work in', cell: (h) => <Share n={h.handedIn} of={h.expected} />, sort: (h) => h.handedIn },
          {
            id: 'turn',
            head: 'Next',
            cell: (h) => <span className={h.waiting > 0 ? 'text-rung' : ''}>{turn(h)}</span>,
            sort: (h) => turn(h) || null,
            wide: true,
          },
          HANDED_OUT,
        ]}
        empty={
          <Empty title="Nothing has been handed out">
            <p>Publish a paper, then hand it to a class.</p>
          </Empty>
        }
        panel={(h) => <HandoutAside handout={h} onTimes={() => setTiming(h)} />}
      />
      {timing ? <TimesDialog handout={timing} onClose={() => setTiming(null)} /> : null}
    </>
  )
}

/** A handout beside the list: how far it is, under which conditions, and where it leads. */
function HandoutAside({ handout: h, onTimes }: { handout: Handout; onTimes: () => void }) {
  const plan = usePlans().of(h.conditions.feedback)
  return (
    <Aside
      title={h.title}
      note={`edition ${h.edition} · ${toWhom(h)} · ${standing(h)}`}
      to={`/papers/${h.paperId}`}
      way="Paper"
    >
      <Ways handout={h} onTimes={onTimes} />
      <Facts
        of={[
          ['Handed in', <Share key="in" n={h.handedIn} of={h.expected} />],
          ['At work', h.open],
          ['Wait for a marker', h.waiting],
          [
            'To return',
            toReturn(h) > 0 ? (
              <Link key="return" className="font-semibold text-blue underline" to={`/marking?return=${h.id}`}>
                {toReturn(h)} to return
              </Link>
            ) : (
              0
            ),
          ],
          ['Returned', h.returned],
        ]}
      />
      <Facts
        of={[
          ['Opens', h.opensAt ? moment(h.opensAt) : h.visible ? `at once, ${moment(h.madeAt)}` : 'when it is shown'],
          ['Closes', h.closedAt ? moment(h.closedAt) : h.closesAt ? moment(h.closesAt) : 'when you close it'],
          ['Attempts', h.conditions.attempts > 1 ? `${h.conditions.attempts}, ${counts(h)}` : '1'],
          ['Questions', h.conditions.shuffleQuestions ? 'differently ordered' : 'in the paper’s order'],
          ['Shown', MANNERS.find((m) => m.value === mannerOf(h.conditions))?.label.toLowerCase() ?? ''],
          ['Where', h.conditions.inRoom ? 'in the room' : 'in the room or at home'],
          ['Pasting', h.conditions.pasting ? 'allowed' : 'off'],
          ['Working', h.conditions.needsWorking ? 'wanted where a question asks for it' : 'as they like'],
          ['Full screen', h.conditions.fullScreen ? 'leaving it is told' : 'not asked for'],
          ['Time', timeInWords(h.conditions)],
          ['Beside', h.conditions.tools.join(', ') || 'no tools'],
          ['Options', h.conditions.shuffleOptions ? 'differently ordered' : 'as written'],
        ]}
      />
      <p>
        {plan ? <b>{plan.name}. </b> : null}
        <span className="text-quiet">{plan?.note || inWords(h.conditions.feedback)}</span>
      </p>
    </Aside>
  )
}

const counts = ({ conditions: { counts: which } }: Handout) =>
  which === 'mean' ? 'the mean counts' : `the ${which} counts`

/** Where a handout leads, and what can be changed about when it is there. */
function Ways({ handout, onTimes }: { handout: Handout; onTimes: () => void }) {
  const { set, before } = useWindow(handout)
  const [linking, setLinking] = useState(false)
  const show = async () => {
    await set({ ...before, visible: true })
    toast(`Students see “${handout.title}” now.`, { undo: () => void set(before) })
  }
  const link = 'font-semibold text-blue underline'
  const isClosed = handout.status === 'closed'
  return (
    <span className="flex flex-col items-start gap-3">
      <span className="flex flex-wrap gap-x-4 gap-y-1">
        {handout.status === 'hidden' ? null : (
          <Link className={link} to={`/lookout/${handout.id}`}>
            Lookout
          </Link>
        )}
        {handout.handedIn > 0 ? (
          <Link className={link} to={`/results/${handout.id}`}>
            Results
          </Link>
        ) : null}
        <Link className={link} to={`/handouts/new?like=${handout.id}`}>
          Hand out again
        </Link>
      </span>
      {isClosed ? null : (
        <span className="flex flex-wrap gap-2">
          {handout.status === 'hidden' ? (
            <Button size="small" onClick={() => void show()}>
              Show to students
            </Button>
          ) : null}
          <Button size="small" aria-label={`Link to ${handout.title}`} onClick={() => setLinking(true)}>
            Link
          </Button>
          <Button size="small" aria-label={`Times of ${handout.title}`} onClick={onTimes}>
            Times
          </Button>
        </span>
      )}
      {linking ? <LinkToWork handout={handout} onClose={() => setLinking(false)} /> : null}
    </span>
  )
}

import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { useAddress, useLeafing } from '@/lib/address'
import { api, take, type Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { useKeys } from '@/lib/keys'
import { roving } from '@/lib/roving'
import { Button } from '@/ui/Button'
import { Desk, Head } from '@/ui/Desk'
import { SelectField } from '@/ui/Select'
import { Empty, Failed, Loading } from '@/ui/States'
import { toast } from '@/ui/toast'
import { InviteDialog } from './InviteDialog'
import { Review } from './Review'
import { Written } from './Written'

type Invitation = Schemas['PeersInvitationRowView']
type Proposal = Schemas['PeersProposalView']

const LIST = ['invitations'] as const
/** While a class writes, what it writes comes in by itself. */
const LOOK_AGAIN = 10_000

const STANDS: Record<string, string> = { waiting: 'waits for you', 'sent back': 'sent back', 'let in': 'in the bank' }

/** Questions that students wrote: shown to the class, let into the bank, or sent back with words. */
export default function QueueDesk() {
  const client = useQueryClient()
  const { at, set } = useAddress()
  const list = useQuery({
    queryKey: LIST,
    queryFn: () => take(api.GET('/api/invitations')),
    refetchInterval: LOOK_AGAIN,
  })
  const [asking, setAsking] = useState(false)
  const all = list.data?.invitations ?? []
  const invitation = all.find((i) => i.id === at('of')) ?? all[0]
  const waiting = all.reduce((sum, i) => sum + i.waiting, 0)
  useKeys({ n: { label: 'Ask a class for questions', run: () => setAsking(true) } })
  const listed = (view: Schemas['PeersInvitationListView']) => client.setQueryData(LIST, view)
  return (
    <>
      <Head
        title="Questions by students"
        note={
          list.data ? (waiting > 0 ? `${plural(waiting, 'question')} for you to read` : 'nothing waits for you') : ''
        }
      >
        <Link to="/bank" className="font-semibold text-blue underline">
          Back to bank
        </Link>
        <Button kind="do" hint="n" onClick={() => setAsking(true)}>
          Ask a class
        </Button>
      </Head>
      {list.isPending ? <Loading what="Reading what students wrote" /> : null}
      {list.isError && !list.data ? <Failed error={list.error} retry={() => void list.refetch()} /> : null}
      {list.data && !invitation ? (
        <Empty title="No class has been asked yet">
          <p>
            Ask a class for questions on a topic. Whoever writes a good wrong answer has understood the right one; what
            is good can stand in the bank.
          </p>
          <Button kind="do" onClick={() => setAsking(true)}>
            Ask a class
          </Button>
        </Empty>
      ) : null}
      {invitation ? (
        <Queue
          key={invitation.id}
          invitation={invitation}
          all={all}
          onInvitation={(id) => set('of', id)}
          onList={listed}
        />
      ) : null}
      {asking ? (
        <InviteDialog
          onClose={() => setAsking(false)}
          onAsked={(view, id) => {
            listed(view)
            set('of', id)
            toast('The class is asked. It stands in their work now.')
          }}
        />
      ) : null}
    </>
  )
}

const inWords = (i: Invitation) => `${i.topic} · ${i.class}${i.open ? '' : ' · closed'}`

/** One class's questions: listed at the left, the chosen one on its sheet, what can be done with it at the right. */
function Queue({
  invitation,
  all,
  onInvitation,
  onList,
}: {
  invitation: Invitation
  all: readonly Invitation[]
  onInvitation: (id: string) => void
  onList: (view: Schemas['PeersInvitationListView']) => void
}) {
  const client = useQueryClient()
  const { at, set } = useAddress()
  const { id, open } = invitation
  const params = { path: { id } }
  const key = ['invitations', id]
  const queue = useQuery({
    queryKey: key,
    queryFn: () => take(api.GET('/api/invitations/{id}', { params })),
    refetchInterval: LOOK_AGAIN,
  })
  const proposals = queue.data?.proposals ?? []
  const chosen = proposals.find((p) => p.id === at('open')) ?? proposals[0]
  const { goTo, step } = useLeafing(proposals, chosen?.id, (next) => set('open', next))
  useKeys({ j: { label: 'Next', run: () => step(1) }, k: { label: 'Previous', run: () => step(-1) } })
  const seen = (view: Schemas['PeersQueueView']) => {
    client.setQueryData(key, view)
    // What was acted on moves to its place in the list, and stays on the desk.
    if (chosen) goTo(chosen.id)
    void client.invalidateQueries({ queryKey: LIST, exact: true })
    void client.invalidateQueries({ queryKey: ['items'] })
  }
  const turn = async () => {
    onList(await take(api.POST(open ? '/api/invitations/{id}/close' : '/api/invitations/{id}/reopen', { params })))
    toast(open ? 'No new ones are taken. What is written stays.' : 'The class may write again.')
  }
  return (
    <Desk
      leftLabel="What they wrote"
      left={
        <div className="flex flex-col gap-3">
          {all.length > 1 ? (
            <SelectField
              label="Asked for"
              value={id}
              onChange={onInvitation}
              options={all.map((i) => ({ value: i.id, label: inWords(i) }))}
            />
          ) : null}
          <h2 className="text-base">
            {invitation.topic} <span className="font-sans font-normal text-quiet">{invitation.class}</span>
          </h2>
          <div className="flex items-center gap-2 text-sm text-quiet">
            <span className="min-w-0 flex-1">
              {open ? 'open' : 'closed'}, asked by {invitation.openedBy}
            </span>
            <Button size="small" onClick={() => void turn()}>
              {open ? 'Close' : 'Open again'}
            </Button>
          </div>
          <List proposals={proposals} chosen={chosen?.id} onChoose={goTo} />
        </div>
      }
      rightLabel="What to do with it"
      right={chosen ? <Review key={chosen.id} proposal={chosen} group={invitation.class} onSeen={seen} /> : undefined}
    >
      {queue.isPending ? <Loading what="Reading what they wrote" /> : null}
      {queue.isError && !queue.data ? <Failed error={queue.error} retry={() => void queue.refetch()} /> : null}
      {queue.data && !chosen ? (
        <Empty title="Nobody has written one yet">
          <p>
            {open
              ? `${invitation.class} finds “${invitation.topic}” in their work. What they write appears here by itself.`
              : 'It is closed. Open it again, and the class may write.'}
          </p>
        </Empty>
      ) : null}
      {chosen ? (
        <div className="mx-auto max-w-2xl p-6">
          <article
            aria-label={`The question of ${chosen.student}`}
            className="rung-top rounded border bg-sheet px-7 py-6"
          >
            <Written question={chosen.question} taken={chosen.taken} />
          </article>
        </div>
      ) : null}
    </Desk>
  )
}

function List({
  proposals,
  chosen,
  onChoose,
}: {
  proposals: readonly Proposal[]
  chosen: string | undefined
  onChoose: (id: string) => void
}) {
  const rove = roving(
    proposals.map((p) => p.id),
    chosen,
    onChoose,
  )
  return (
    <ul {...rove.list} aria-label="Questions" className="border-t">
      {proposals.map((p) => (
        <li key={p.id} className="relative border-b">
          {p.id === chosen ? <span aria-hidden className="absolute top-3 -left-4 h-2 w-6 bg-rung" /> : null}
          <button
            type="button"
            {...rove.item(p.id)}
            aria-current={p.id === chosen}
            onClick={() => onChoose(p.id)}
            className="flex w-full flex-col py-2 pl-3 text-left hover:bg-pale"
          >
            <span className={`line-clamp-2 text-[15px] ${p.id === chosen ? 'font-semibold' : ''}`}>
              {p.question.prompt}
            </span>
            <span className="text-sm text-quiet">
              {p.student} · {STANDS[p.state]}
              {p.shown ? ' · the class answers' : ''}
            </span>
          </button>
        </li>
      ))}
    </ul>
  )
}

import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, Navigate } from 'react-router'
import { api, Problem, take, type Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { Failed, Loading } from '@/ui/States'
import { ownQuestions } from './ownQuestions'
import { PeerQuestion } from './PeerQuestion'
import { WriteForm } from './WriteForm'
import { Written } from './Written'

type Invitation = Schemas['PeersOwnInvitationView']
type Own = Schemas['PeersOwnProposalView']
type View = Schemas['PeersOwnInvitationsView']

/** Where a student writes questions for the class, and answers those of others. */
export default function OwnQuestions() {
  const client = useQueryClient()
  const me = useQuery({ queryKey: ['me'], queryFn: () => take(api.GET('/api/me')), staleTime: Infinity })
  const list = useQuery(ownQuestions())
  const error = me.error ?? list.error
  if (error instanceof Problem && error.status === 401) return <Navigate to="/my" replace />
  if (me.isPending || list.isPending) return <Loading />
  if (!me.data || !list.data) return <Failed error={error} retry={() => void list.refetch()} />
  const seen = (view: View) => client.setQueryData(ownQuestions().queryKey, view)
  return (
    <div className="min-h-dvh text-[18px]">
      <header className="flex items-center gap-3 border-b px-4 py-3">
        <h1 className="flex-1 font-head text-xl font-semibold">Questions of your class</h1>
        <Link to="/my" className="flex min-h-11 items-center font-semibold text-blue underline">
          My work
        </Link>
      </header>
      <main className="mx-auto max-w-2xl px-4 py-4">
        {list.data.invitations.length === 0 ? (
          <p className="py-8 text-quiet">Nobody has asked you for a question yet.</p>
        ) : null}
        {list.data.invitations.map((invitation) => (
          <Topic key={invitation.id} student={me.data.id} invitation={invitation} onSeen={seen} />
        ))}
      </main>
    </div>
  )
}

function Topic({
  student,
  invitation,
  onSeen,
}: {
  student: string
  invitation: Invitation
  onSeen: (view: View) => void
}) {
  const { id, topic, open, own, others } = invitation
  // The first one is written at once; more are asked for.
  const [more, setMore] = useState(false)
  const [changing, setChanging] = useState<string | null>(null)
  const writing = open && (more || own.length === 0)
  return (
    <section aria-label={topic} className="mb-10">
      <h2 className="text-xl">{topic}</h2>
      {open ? null : <p className="text-quiet">No more questions are taken on this.</p>}
      {own.map((one) =>
        changing === one.id ? (
          <WriteForm
            key={one.id}
            student={student}
            invitation={id}
            own={one}
            onSent={(view) => {
              onSeen(view)
              setChanging(null)
            }}
            onLeave={() => setChanging(null)}
          />
        ) : (
          <OwnOne key={one.id} own={one} onChange={() => setChanging(one.id)} />
        ),
      )}
      {writing ? (
        <WriteForm
          key={own.length}
          student={student}
          invitation={id}
          own={null}
          onSent={(view) => {
            onSeen(view)
            setMore(false)
          }}
          onLeave={own.length > 0 ? () => setMore(false) : undefined}
        />
      ) : open ? (
        <Button className="mt-4 min-h-12" onClick={() => setMore(true)}>
          Write another question
        </Button>
      ) : null}
      {others.length > 0 ? <h3 className="mt-8 text-lg">What others of your class ask</h3> : null}
      {others.map((one) => (
        <PeerQuestion key={`${one.id}-${one.version}`} question={one} onSeen={onSeen} />
      ))}
    </section>
  )
}

const stands = (own: Own) =>
  own.state === 'let in'
    ? 'Your teacher has taken it into the questions of the school.'
    : own.state === 'sent back'
      ? 'Your teacher has sent it back:'
      : own.shown
        ? 'Your class answers it now.'
        : 'Your teacher reads it.'

function OwnOne({ own, onChange }: { own: Own; onChange: () => void }) {
  return (
    <article aria-label="Your question" className="mt-4 rounded border bg-sheet p-4">
      <p className="mb-3 text-[16px] text-quiet">{stands(own)}</p>
      {own.words ? (
        <blockquote className="mb-3 break-words whitespace-pre-wrap italic">“{own.words}”</blockquote>
      ) : null}
      <Written question={own.question} taken={own.taken} />
      {own.mayChange ? (
        <Button kind={own.state === 'sent back' ? 'do' : undefined} className="mt-4 min-h-12" onClick={onChange}>
          Change it
        </Button>
      ) : null}
    </article>
  )
}

import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import type { Schemas } from '@/lib/api/client'
import { plural } from '@/lib/format'
import { ownQuestions } from './ownQuestions'

/** From a student's work to the questions they are asked to write; nothing while nobody asks. */
export default function ToQuestions() {
  const list = useQuery(ownQuestions())
  const asked = list.data?.invitations ?? []
  if (asked.length === 0) return null
  return (
    <section className="mb-6">
      <h2 className="text-lg">Questions of your class</h2>
      <ul className="mt-2 border-t">
        {asked.map((one) => (
          <li key={one.id} className="flex min-h-16 items-center gap-3 border-b py-2">
            <span className="min-w-0 flex-1">
              <b>{one.topic}</b>
              <span className="block text-[15px] text-quiet">{inWords(one)}</span>
            </span>
            <Link
              to="/my/questions"
              aria-label={`${one.topic}: write and answer`}
              className="flex min-h-12 items-center rounded border border-edge bg-sheet px-4 font-semibold hover:border-ink"
            >
              {one.open && one.own.length === 0 ? 'Write one' : 'See'}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}

function inWords({ own, others }: Schemas['PeersOwnInvitationView']) {
  const back = own.filter((o) => o.state === 'sent back').length
  const fresh = others.filter((o) => o.picked === null).length
  return [
    own.length === 0 ? 'Your teacher asks for a question of yours' : `${plural(own.length, 'question')} of yours`,
    back > 0 ? `${back} sent back to you` : '',
    fresh > 0 ? `${plural(fresh, 'question')} to answer` : '',
  ]
    .filter(Boolean)
    .join(' · ')
}

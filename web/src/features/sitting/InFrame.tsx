import { api } from '@/lib/api/client'
import { FRAMED_WORK } from '@/lib/framed'

/** Within a page of others a browser may refuse to keep who has joined. */
export const joiningIsKept = () =>
  api.GET('/api/me').then(
    ({ response }) => response.status !== 401,
    () => true,
  )

/** What holds within a page of others: there is always the way to a page of its own, and where nothing is kept it is the only one. */
export function InFrame({ refused }: { refused: boolean }) {
  return (
    <p role={refused ? 'alert' : undefined} className={refused ? 'font-semibold text-bad' : 'text-[15px] text-quiet'}>
      {refused
        ? '✕ This browser keeps nobody signed in on a page within another. '
        : 'This page stands within another. '}
      <a className="text-blue underline" href={`/my/to/${FRAMED_WORK ?? ''}`} target="_blank" rel="noopener">
        Open it by itself
      </a>
    </p>
  )
}

import { useNavigate, useRouteError } from 'react-router'
import { Button } from '@/ui/Button'

/** A desk that could not be fetched, mostly for want of a network. What was typed elsewhere is where it was. */
export function NotFetched() {
  const navigate = useNavigate()
  const error = useRouteError()
  const fetching = error instanceof TypeError
  return (
    <div role="alert" className="m-8 max-w-xl rounded border border-bad bg-sheet p-6">
      <h1 className="text-xl text-bad">✕ {fetching ? 'This desk could not be fetched' : 'This desk has failed'}</h1>
      <p className="mt-2">
        {fetching ? 'Check the connection, then try again.' : 'Try again.'} What you had typed on other desks is still
        there.
      </p>
      <div className="mt-4 flex gap-2">
        <Button kind="do" onClick={() => location.reload()}>
          Try again
        </Button>
        <Button onClick={() => void navigate(-1)}>Back</Button>
      </div>
    </div>
  )
}

import type { ReactNode } from 'react'
import { problemOf } from '@/lib/api/client'
import { Button } from './Button'

export function Loading({ what = 'Loading' }: { what?: string }) {
  return <p className="p-6 text-quiet">{what} …</p>
}

/** An empty list tells the next act. */
export function Empty({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div className="m-6 max-w-lg rounded border border-dashed border-edge p-6">
      <h2 className="text-lg">{title}</h2>
      <div className="mt-2 flex flex-col items-start gap-3 text-quiet">{children}</div>
    </div>
  )
}

export function Failed({ error, retry }: { error: unknown; retry?: () => void }) {
  const problem = problemOf(error)
  return (
    <div role="alert" className="m-6 max-w-lg rounded border border-bad bg-sheet p-5">
      <h2 className="text-lg text-bad">✕ {problem.message}</h2>
      {problem.detail ? <p className="mt-1">{problem.detail}</p> : null}
      {retry ? (
        <Button className="mt-3" onClick={retry}>
          Try again
        </Button>
      ) : null}
    </div>
  )
}

export function FaultLine({ error }: { error: unknown }) {
  if (!error) return null
  const problem = problemOf(error)
  return (
    <p role="alert" className="font-semibold text-bad">
      ✕ {problem.message} <span className="font-normal">{problem.detail}</span>
    </p>
  )
}

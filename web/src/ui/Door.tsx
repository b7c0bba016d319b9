import { AlertDialog } from 'radix-ui'
import type { ReactNode } from 'react'

/** Laid over everything when nobody is signed in any more: what is behind it waits as it was. */
export function Door({ says, children }: { says: string; children: ReactNode }) {
  return (
    <AlertDialog.Root open>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-60 bg-ink/45" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-60 flex max-h-[92vh] w-[94vw] max-w-md -translate-x-1/2 -translate-y-1/2 flex-col gap-4 overflow-auto rounded border border-line bg-ground p-5 shadow-float">
          <AlertDialog.Title className="text-xl">You are no longer signed in</AlertDialog.Title>
          <AlertDialog.Description>{says}</AlertDialog.Description>
          {children}
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  )
}

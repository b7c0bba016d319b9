import { AlertDialog } from 'radix-ui'
import type { ReactNode } from 'react'
import { Button } from './Button'

/** Asks before an act that reaches other people. Says what will happen; the safe answer has the focus. */
export function Confirm({
  open,
  title,
  act,
  keep = 'Leave it',
  danger = false,
  onAct,
  onClose,
  children,
}: {
  open: boolean
  title: string
  /** what the button does, in words */
  act: string
  keep?: string
  danger?: boolean
  onAct: () => void
  onClose: () => void
  children: ReactNode
}) {
  return (
    <AlertDialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-ink/45" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-50 flex max-h-[92vh] w-[94vw] max-w-lg -translate-x-1/2 -translate-y-1/2 flex-col rounded border border-line bg-sheet shadow-float">
          <AlertDialog.Title className="border-b px-5 py-3 text-lg">{title}</AlertDialog.Title>
          <AlertDialog.Description asChild>
            <div className="min-h-0 flex-1 overflow-auto px-5 py-4">{children}</div>
          </AlertDialog.Description>
          <footer className="flex flex-wrap justify-end gap-2 border-t px-5 py-3">
            <AlertDialog.Cancel asChild>
              <Button>{keep}</Button>
            </AlertDialog.Cancel>
            <Button kind={danger ? 'danger' : 'do'} onClick={onAct}>
              {act}
            </Button>
          </footer>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  )
}

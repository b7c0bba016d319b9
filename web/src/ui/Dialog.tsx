import { Dialog as Radix } from 'radix-ui'
import type { ReactNode } from 'react'
import { Button } from './Button'

type Props = {
  open: boolean
  onClose: () => void
  title: string
  wide?: boolean
  children: ReactNode
  foot?: ReactNode
}

export function Dialog({ open, onClose, title, wide = false, children, foot }: Props) {
  return (
    <Radix.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-ink/45" />
        <Radix.Content
          aria-describedby={undefined}
          className={`fixed top-1/2 left-1/2 z-50 flex max-h-[92vh] w-[94vw] -translate-x-1/2 -translate-y-1/2 flex-col rounded border border-line bg-sheet shadow-float ${wide ? 'max-w-3xl' : 'max-w-lg'}`}
        >
          <header className="flex items-center gap-4 border-b px-5 py-3">
            <Radix.Title className="flex-1 text-lg">{title}</Radix.Title>
            <Radix.Close asChild>
              <Button kind="quiet" size="small">
                Put away
              </Button>
            </Radix.Close>
          </header>
          <div className="min-h-0 flex-1 overflow-auto px-5 py-4">{children}</div>
          {foot ? <footer className="flex flex-wrap justify-end gap-2 border-t px-5 py-3">{foot}</footer> : null}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}

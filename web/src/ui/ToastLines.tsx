import { Toast as Radix } from 'radix-ui'
import { Button } from './Button'
import { putAway, type Toast } from './toast'

const STAYS = { undo: 12_000, bad: 9000, said: 4500 }

function Line({ toast: t }: { toast: Toast }) {
  return (
    <Radix.Root
      type={t.bad ? 'foreground' : 'background'}
      duration={t.undo ? STAYS.undo : t.bad ? STAYS.bad : STAYS.said}
      onOpenChange={(open) => !open && putAway(t.id)}
      // Also while a dialog that has just done it still takes the pointer from everything else.
      style={{ pointerEvents: 'auto' }}
      className="flex items-center gap-3 rounded border border-ink bg-ink px-4 py-2 text-ground shadow-float"
    >
      <Radix.Description>
        {t.bad ? '✕ ' : ''}
        {t.text}
      </Radix.Description>
      {t.undo ? (
        <Radix.Action asChild altText="Undo, with F8 and Tab">
          <Button size="small" kind="bare" onClick={() => t.undo?.()}>
            Undo
          </Button>
        </Radix.Action>
      ) : null}
    </Radix.Root>
  )
}

/** The messages of now, each with what takes it back. */
export function ToastLines({ toasts }: { toasts: readonly Toast[] }) {
  return (
    <Radix.Provider label="What happened" swipeDirection="down">
      {toasts.map((t) => (
        <Line key={t.id} toast={t} />
      ))}
      <Radix.Viewport
        label="Messages ({hotkey})"
        // On a phone above the foot of the screen, where the next act is.
        className="no-print pointer-events-none fixed inset-x-3 bottom-20 z-[60] flex flex-col items-center gap-2 outline-none md:bottom-5"
      />
    </Radix.Provider>
  )
}

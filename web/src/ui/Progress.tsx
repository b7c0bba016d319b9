import { Progress as Radix } from 'radix-ui'

/** How far something is: rungs that fill, one for each twelfth. */
export function Progress({ label, share }: { label: string; share: number }) {
  const done = Math.round(Math.min(1, Math.max(0, share)) * 12)
  return (
    <Radix.Root value={Math.round(share * 100)} aria-label={label} className="flex w-28 gap-[3px]">
      {Array.from({ length: 12 }, (_, i) => (
        <span key={i} className={`h-2.5 flex-1 border border-r3 ${i < done ? 'bg-r3' : ''}`} />
      ))}
    </Radix.Root>
  )
}

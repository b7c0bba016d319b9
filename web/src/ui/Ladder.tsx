/** A level as a ladder with as many rungs filled as reached: a shape before a colour. */
export function Ladder({ reached, of, name }: { reached: number; of: number; name: string }) {
  const label = reached === 0 ? 'no level yet' : `${name}, rung ${reached} of ${of}`
  const step = 18 / of
  const high = Math.min(3.4, step - 0.9)
  return (
    <svg role="img" aria-label={label} width="15" height="22" viewBox="0 0 15 22" className="inline-block align-middle">
      <title>{label}</title>
      <path d="M1 0v22M14 0v22" className="stroke-ink" strokeWidth="1.4" />
      {Array.from({ length: of }, (_, i) => (
        <rect
          key={i}
          x="2.6"
          y={20 - (i + 1) * step + (step - high) / 2 - 0.3}
          width="9.8"
          height={high}
          className={i < reached ? 'fill-r3 stroke-r3' : 'fill-none stroke-edge'}
          strokeWidth="1"
        />
      ))}
    </svg>
  )
}

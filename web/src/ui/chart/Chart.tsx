import type { ReactNode } from 'react'

/**
 * A chart answers the question in its title. What it shows is said in words as well, and the same values stand in a table
 * nearby. Scales, axes and shapes are visx's; the look is ours: no legend, every line named at its end.
 */
export function Chart({
  title,
  says,
  width,
  height,
  className = 'w-full',
  children,
}: {
  title?: string
  /** what is seen, for who does not see it */
  says: string
  width: number
  height: number
  className?: string
  children: ReactNode
}) {
  const drawing = (
    <svg viewBox={`0 0 ${width} ${height}`} className={className} role="img" aria-label={says}>
      {children}
    </svg>
  )
  return title ? (
    <figure>
      <figcaption className="font-head font-semibold">{title}</figcaption>
      <div className="mt-1">{drawing}</div>
    </figure>
  ) : (
    drawing
  )
}

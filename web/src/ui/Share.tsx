/** How many of so many, as a bar beside its figures. */
export function Share({ n, of }: { n: number; of: number }) {
  return (
    <span className="flex items-center gap-2 whitespace-nowrap tabular-nums">
      <svg aria-hidden viewBox="0 0 60 8" className="h-2 w-[60px] shrink-0">
        <rect x="0.5" y="0.5" width="59" height="7" className="fill-none stroke-edge" />
        <rect width={of > 0 ? (60 * n) / of : 0} height="8" className="fill-r3" />
      </svg>
      {n} of {of}
    </span>
  )
}

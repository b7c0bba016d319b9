/** The number of a line, where its letter or box would stand. */
export const LineNumber = ({ of }: { of: number }) => (
  <span className="inline-block w-9 pt-1 text-center text-sm text-quiet tabular-nums">{of + 1}</span>
)

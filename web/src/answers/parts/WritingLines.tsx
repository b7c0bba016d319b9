/** Lines to write on. */
export const WritingLines = ({ count }: { count: number }) => (
  <div className="mt-3 flex flex-col gap-6 pt-4">
    {Array.from({ length: count }, (_, i) => (
      <div key={i} className="border-b border-black/50" />
    ))}
  </div>
)

/** What a marker looks for, said beforehand. */
export const LookedFor = ({ criteria }: { criteria: string[] }) =>
  criteria.some((c) => c.trim() !== '') ? (
    <span className="text-[0.85em] text-quiet">
      A teacher looks for:{' '}
      {criteria
        .filter((c) => c.trim())
        .join(', ')
        .toLowerCase()}
    </span>
  ) : null

/** The paper was mended, or an answer corrected, while the student is at it. */
export const Mended = ({ corrected }: { corrected: string | null }) => (
  <p className="rounded border border-blue p-3">
    {corrected === null
      ? 'Your teacher has changed this question since you answered it. Your answer is kept.'
      : `Your teacher has corrected this answer: ${corrected}`}
  </p>
)

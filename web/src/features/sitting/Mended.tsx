/** The paper was mended while the student is at it. */
export const Mended = () => (
  <p className="rounded border border-blue p-3">
    Your teacher has changed this question since you answered it. Your answer is kept.
  </p>
)

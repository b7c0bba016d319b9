const LONGEST = 20_000

/** A line of words beside what is given otherwise. */
export const BesideField = ({
  heading,
  text,
  disabled,
  onChange,
}: {
  heading: string
  text: string
  disabled: boolean
  onChange: (text: string) => void
}) => (
  <label className="flex flex-col gap-1">
    <span className="text-[0.85em] text-quiet">In words, if you like</span>
    <textarea
      className="field text-[1em]"
      rows={2}
      aria-label={`Words beside your answer to ${heading}`}
      disabled={disabled}
      maxLength={LONGEST}
      value={text}
      onChange={(e) => onChange(e.target.value)}
    />
  </label>
)

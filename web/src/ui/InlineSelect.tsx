/**
 * One of a few words inside a line of text, for students. The browser’s own control: a phone opens its list as large as the hand,
 * a screen reader reads it on within the sentence, and a page with gaps does without the 37 KB that place a list of ours.
 */
export function InlineSelect({
  label,
  value,
  options,
  disabled,
  onChange,
}: {
  label: string
  value: string
  options: readonly { value: string; label: string }[]
  disabled: boolean
  onChange: (value: string) => void
}) {
  return (
    // eslint-disable-next-line no-restricted-syntax -- this is the control that rooms take it from
    <select
      aria-label={label}
      className="field my-1 inline-block min-h-11 w-auto max-w-full px-2 leading-normal"
      disabled={disabled}
      value={value}
      onChange={(e) => onChange(e.target.value)}
    >
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.label}
        </option>
      ))}
    </select>
  )
}

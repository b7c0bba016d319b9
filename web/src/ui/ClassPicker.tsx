/** Limits a desk to one class of a handout; nothing where there is one only. */
export function ClassPicker({
  classes,
  value,
  onChange,
}: {
  classes: string[]
  value: string
  onChange: (name: string) => void
}) {
  if (classes.length < 2) return null
  return (
    <label className="text-[15px] text-quiet">
      <span className="sr-only">Class</span>
      <select
        className="rounded border border-edge bg-sheet px-2 py-1.5 text-ink"
        value={value}
        onChange={(e) => onChange(e.target.value)}
      >
        <option value="">All classes</option>
        {classes.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </select>
    </label>
  )
}

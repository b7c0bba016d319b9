import { textOf } from '@/lib/files'

/** A file whose text is taken over, in place of typing or pasting it. */
export function TextFile({ label, accept, onText }: { label: string; accept: string; onText: (text: string) => void }) {
  return (
    <label className="text-sm font-semibold">
      {label}{' '}
      <input
        type="file"
        accept={accept}
        className="ml-2 font-normal"
        onChange={(e) => {
          const file = e.target.files?.[0]
          if (file) void textOf(file).then(onText)
        }}
      />
    </label>
  )
}

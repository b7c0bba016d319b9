import type { InputProps, ItemType } from '../kinds'
import { textOf } from './values'

/** A line to write on where it stands on a page. */
export default function SmallTyped({ value, onChange, disabled, heading }: Omit<InputProps<ItemType>, 'face'>) {
  return (
    <input
      aria-label={`Answer to ${heading}, on the page`}
      className="h-9 w-full min-w-0 rounded border-2 border-edge bg-sheet/95 px-1.5 text-[16px] text-ink focus-visible:border-ink"
      value={textOf(value)}
      disabled={disabled}
      maxLength={500}
      autoComplete="off"
      autoCapitalize="off"
      spellCheck={false}
      onChange={(e) => onChange({ text: e.target.value })}
    />
  )
}

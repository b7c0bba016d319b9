import { rational } from '@/lib/format'
import type { KeyLine } from '../kinds'

/** A line to write on, or the forms that earn something. */
export function TypedPaper({ lines, withKey, unit = '' }: { lines: KeyLine[]; withKey: boolean; unit?: string }) {
  return withKey ? (
    <ul className="mt-1">
      {lines
        .filter((l) => rational(l.credit) > 0)
        .map((l) => (
          <li key={l.line}>
            <b>✓ {l.text}</b> {l.credit === '1' ? '' : `credit ${l.credit}`}
          </li>
        ))}
    </ul>
  ) : (
    <p className="mt-5 w-60 border-b border-black text-right">{unit} </p>
  )
}

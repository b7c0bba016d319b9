import { Quoted } from '@/ui/Quoted'
import { Rich } from '@/lib/Rich'
import type { PaperProps } from '../kinds'
import { letter } from '../parts/letter'

/** Options with a box to mark; the key filled. */
export default function Paper({ rule, withKey, brief }: PaperProps<'choice'>) {
  if (brief)
    return (
      <p className="flex flex-wrap gap-3">
        {rule.options.map((o, i) => (
          <span key={o.id} className="inline-block size-6 border border-black text-center text-xs leading-6 font-bold">
            {letter(i)}
          </span>
        ))}
      </p>
    )
  return (
    <ol className="mt-2">
      {rule.options.map((o, i) => (
        <li key={o.id} className="flex items-baseline gap-2 py-0.5">
          <span
            className={`inline-block size-5 border border-black text-center text-xs leading-5 font-bold ${withKey && o.key ? 'bg-black text-white' : ''}`}
            style={{ printColorAdjust: 'exact' }}
          >
            {letter(i)}
          </span>
          <Rich html={o.text} inline />
          {withKey && o.key ? <b>✓ key</b> : null}
          {withKey && o.feedback ? (
            <div className="text-sm">
              <Quoted words={o.feedback} />
            </div>
          ) : null}
        </li>
      ))}
    </ol>
  )
}

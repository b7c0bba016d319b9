import { Pins } from '@/media/Pins'
import { Rich } from '@/lib/Rich'
import type { PaperProps } from '../kinds'
import { lines } from './lines'
import { Shapes } from './Shapes'

/** The picture to mark on, or its regions as the key. */
export default function Paper({ rule, withKey }: PaperProps<'spot'>) {
  const { picture } = rule
  if (!picture) return null
  const unit = Math.max(picture.width, picture.height) / 100
  return (
    <div className="mt-2 max-w-xl break-inside-avoid">
      <Pins label="Picture" picture={picture} pins={[]} mode="points" disabled>
        {withKey ? <Shapes regions={rule.regions} unit={unit} /> : null}
      </Pins>
      {withKey ? (
        <ol className="mt-1 list-decimal pl-6 text-sm">
          {lines(rule).map((line) => (
            <li key={line.line} className={line.isKey ? 'font-bold' : ''}>
              {line.text}
              {line.isKey ? ' ✓' : ''}
            </li>
          ))}
        </ol>
      ) : rule.mode === 'labels' ? (
        <p className="mt-1 text-sm">
          Write in:{' '}
          {[...rule.labels]
            .sort((a, b) => a.text.localeCompare(b.text))
            .map((l, i) => (
              <span key={l.id}>
                {i > 0 ? ' · ' : ''}
                <Rich html={l.text} inline />
              </span>
            ))}
        </p>
      ) : (
        <p className="mt-1 text-sm">
          {rule.mode === 'rings' ? 'Draw' : 'Mark'} {rule.asked} {rule.mode === 'rings' ? 'ring' : 'cross'}
          {rule.asked === 1 ? '' : rule.mode === 'rings' ? 's' : 'es'}.
        </p>
      )}
    </div>
  )
}

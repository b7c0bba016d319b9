import { useState } from 'react'
import { Rich } from '@/lib/Rich'
import { useQuiet } from '@/lib/quiet'
import { later } from './later'
import { frames, textIn, type RichProps } from './rich'

const fetched = () => import('./RichArea').then((it) => it.RichArea)
const RichArea = later(fetched, (props) => <AsRead {...props} />)

/** The text as it will be read, where it will be written. */
function AsRead({
  label,
  value,
  small = false,
  hideLabel = false,
  inPlace = false,
  placeholder,
  onIn,
}: RichProps & { onIn?: () => void }) {
  return (
    <div className="flex flex-col gap-1">
      <span className={hideLabel ? 'sr-only' : 'text-sm font-semibold'}>{label}</span>
      <div
        role="textbox"
        aria-multiline
        aria-readonly
        aria-label={label}
        tabIndex={0}
        className={frames({ inPlace, small })}
        // A hand that comes near has it fetched; it is there once the text is pressed or reached, with the focus in it.
        onPointerEnter={() => void fetched().catch(() => undefined)}
        onPointerDown={onIn}
        onFocus={onIn}
      >
        <div className={textIn({ inPlace, className: small ? '' : 'text-lg' })}>
          {value === '' ? <p className="text-quiet">{placeholder ?? '\u00a0'}</p> : <Rich html={value} />}
        </div>
      </div>
    </div>
  )
}

/**
 * Rich text in place. What it is written with is heavy, and fetched once the page has come to rest or a hand comes near; until
 * then the text stands there as it will be read.
 */
export function RichEditor(props: RichProps) {
  const quiet = useQuiet()
  const [inside, setInside] = useState(props.focused ?? false)
  return quiet || inside ? <RichArea {...props} focused={inside} /> : <AsRead {...props} onIn={() => setInside(true)} />
}

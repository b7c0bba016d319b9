import type { Schemas } from '@/lib/api/client'
import { MediaProvider, useMedia } from '@/media/place'
import { Fold } from '@/ui/Fold'
import { Answer, Given } from './Answer'
import type { Face, Value } from './kinds'

type Shown = Schemas['WorkingResponse']

/** The sheet that lies beside an answer. */
const SHEET: Face = {
  type: 'working',
  prompt: '',
  hints: [],
  goBack: null,
  asksConfidence: false,
  asksWorking: false,
  criteria: [],
  ground: 'squared',
  picture: null,
  photo: true,
}

/** Working shown beside an answer of whatever type: drawn, photographed, or in words. */
export function Working({
  value,
  onChange,
  disabled,
  heading,
}: {
  value: Shown | null
  onChange: (value: Shown) => void
  disabled: boolean
  heading: string
}) {
  const place = useMedia()
  return (
    <Fold label={value ? 'Your working' : 'Show your working'}>
      {/* Its files are not those of the answer. */}
      <MediaProvider value={{ ...place, scope: place.scope && `${place.scope}|working` }}>
        <Answer
          face={SHEET}
          value={value}
          onChange={(next: Value) => onChange(next as Shown)}
          disabled={disabled}
          heading={`${heading}, working`}
        />
      </MediaProvider>
    </Fold>
  )
}

/** The same where it is read. */
export function WorkingGiven({ value }: { value: Shown | null }) {
  if (!value || (value.strokes.length === 0 && value.files.length === 0 && value.text === '')) return null
  return (
    <div className="mt-3 border-t pt-2">
      <p className="text-sm text-quiet">Working</p>
      <Given face={SHEET} value={value} />
    </div>
  )
}

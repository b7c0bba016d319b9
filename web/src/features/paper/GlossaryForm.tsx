import { X } from 'lucide-react'
import type { Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { TextField } from '@/ui/Field'

type Gloss = Schemas['Gloss']
const MOST = 60

/** Words of a passage that are told in plain ones, for those who press them. */
export function GlossaryForm({
  glossary,
  onChange,
}: {
  glossary: readonly Gloss[]
  onChange: (glossary: Gloss[]) => void
}) {
  const set = (at: number, part: Partial<Gloss>) => onChange(glossary.map((g, i) => (i === at ? { ...g, ...part } : g)))
  return (
    <fieldset className="flex flex-col gap-1">
      <legend className="text-sm font-semibold">Words that are told</legend>
      {glossary.map((gloss, i) => (
        <div key={i} className="flex items-center gap-2">
          <span className="w-40 shrink-0">
            <TextField
              label={`Word ${i + 1}`}
              hideLabel
              inPlace
              placeholder="word in the passage"
              maxLength={60}
              // A new line is there to be written on.
              autoFocus={gloss.word === '' && gloss.meaning === ''}
              value={gloss.word}
              onChange={(e) => set(i, { word: e.target.value })}
            />
          </span>
          <span className="min-w-0 flex-1">
            <TextField
              label={`What word ${i + 1} means`}
              hideLabel
              inPlace
              placeholder="what it means, in plain words"
              maxLength={300}
              value={gloss.meaning}
              onChange={(e) => set(i, { meaning: e.target.value })}
            />
          </span>
          <Button
            kind="quiet"
            size="small"
            aria-label={`Take word ${i + 1} out`}
            onClick={() => onChange(glossary.filter((_, j) => j !== i))}
          >
            <X aria-hidden className="size-4" />
          </Button>
        </div>
      ))}
      {glossary.length < MOST ? (
        <Button
          kind="quiet"
          size="small"
          className="-ml-2 self-start"
          onClick={() => onChange([...glossary, { word: '', meaning: '' }])}
        >
          Tell a word
        </Button>
      ) : null}
    </fieldset>
  )
}

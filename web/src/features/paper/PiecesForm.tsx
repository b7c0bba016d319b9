import { X } from 'lucide-react'
import type { Schemas } from '@/lib/api/client'
import { Button } from '@/ui/Button'
import { CountField } from '@/ui/CountField'
import { TextField } from '@/ui/Field'

type Piece = Schemas['Piece']
const MOST = 12
const MOST_COPIES = 20

/** Pieces that readers move about on the picture; where they lay them is no answer. */
export function PiecesForm({ pieces, onChange }: { pieces: readonly Piece[]; onChange: (pieces: Piece[]) => void }) {
  const set = (at: number, part: Partial<Piece>) => onChange(pieces.map((p, i) => (i === at ? { ...p, ...part } : p)))
  return (
    <fieldset className="flex flex-col gap-1">
      <legend className="text-sm font-semibold">Pieces to move about on it</legend>
      {pieces.map((piece, i) => (
        <div key={i} className="flex items-center gap-2">
          <span className="min-w-0 flex-1">
            <TextField
              label={`Piece ${i + 1}`}
              hideLabel
              inPlace
              placeholder="what stands on it"
              maxLength={24}
              // A new line is there to be written on.
              autoFocus={piece.text === ''}
              value={piece.text}
              onChange={(e) => set(i, { text: e.target.value })}
            />
          </span>
          <span className="w-20">
            <CountField
              label={`How many of piece ${i + 1}`}
              hideLabel
              value={piece.copies}
              most={MOST_COPIES}
              onChange={(copies) => set(i, { copies })}
            />
          </span>
          <Button
            kind="quiet"
            size="small"
            aria-label={`Take piece ${i + 1} out`}
            onClick={() => onChange(pieces.filter((_, j) => j !== i))}
          >
            <X aria-hidden className="size-4" />
          </Button>
        </div>
      ))}
      {pieces.length < MOST ? (
        <Button
          kind="quiet"
          size="small"
          className="-ml-2 self-start"
          onClick={() => onChange([...pieces, { text: '', copies: 1 }])}
        >
          Give a piece
        </Button>
      ) : null}
    </fieldset>
  )
}

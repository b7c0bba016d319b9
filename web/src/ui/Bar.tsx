/**
 * The one code for an answer, everywhere: full right, half part, hollow wrong, dashed waits, dot blank, caret is here now;
 * a stroke beneath is said where nothing is scored. */
export type BarCode = 'right' | 'part' | 'wrong' | 'waits' | 'blank' | 'here' | 'none' | 'said'

const WORDS: Record<BarCode, string> = {
  right: 'right',
  part: 'partly right',
  wrong: 'wrong',
  waits: 'waits for a marker',
  blank: 'left blank',
  here: 'is here now',
  none: 'not reached',
  said: 'said, not scored',
}

export const barOf = (verdict: string): BarCode =>
  verdict === 'by hand' ? 'waits' : verdict === 'none' ? 'blank' : (verdict as BarCode)

export function Bar({ code, label, width = 28 }: { code: BarCode; label?: string; width?: number }) {
  const said = label ?? WORDS[code]
  const h = 10
  const common = { x: 0.75, y: 1.75, width: width - 1.5, height: h - 3.5, strokeWidth: 1.5 }
  return (
    <svg
      role="img"
      aria-label={said}
      width={width}
      height={h}
      viewBox={`0 0 ${width} ${h}`}
      className="inline-block shrink-0 align-middle"
    >
      <title>{said}</title>
      {code === 'right' ? <rect {...common} className="fill-r3 stroke-r3" /> : null}
      {code === 'part' ? (
        <>
          <rect {...common} className="fill-none stroke-r3" />
          <rect x={0.75} y={1.75} width={(width - 1.5) / 2} height={h - 3.5} className="fill-r3" />
        </>
      ) : null}
      {code === 'wrong' ? <rect {...common} className="fill-none stroke-edge" /> : null}
      {code === 'waits' ? <rect {...common} strokeDasharray="3 2.4" className="fill-none stroke-r3" /> : null}
      {code === 'blank' ? <circle cx={width / 2} cy={h / 2} r={2} className="fill-quiet" /> : null}
      {code === 'said' ? <path d={`M1 ${h / 2}h${width - 2}`} strokeWidth={1.5} className="stroke-r3" /> : null}
      {code === 'here' ? <path d={`M${width / 2 - 5} ${h} l5 -9 l5 9z`} className="fill-rung" /> : null}
    </svg>
  )
}

export function BarLegend() {
  return (
    <p className="flex flex-wrap items-center gap-x-4 gap-y-1 text-sm text-quiet">
      {(['right', 'part', 'wrong', 'waits', 'blank', 'here'] as const).map((code) => (
        <span key={code} className="inline-flex items-center gap-1.5">
          <Bar code={code} /> {WORDS[code]}
        </span>
      ))}
    </p>
  )
}

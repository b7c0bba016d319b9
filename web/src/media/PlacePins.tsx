import { placeOf, type Look } from './looks'

const PIN =
  'flex size-7 shrink-0 items-center justify-center rounded-full border-2 text-[14px] font-bold print:border-black print:bg-white print:text-black'
const faceOf = ({ current, mark }: Look) =>
  current
    ? 'z-10 border-white bg-ink text-ground ring-2 ring-ink'
    : mark?.given
      ? 'border-ink bg-r4 text-white'
      : 'border-ink bg-sheet text-ink'

/** Beyond so many thousandths of the width, what is written stands at the left of its mark. */
const FAR = 760

/** The numbers of questions where they look, over the picture that they stand in, with what the present one is answered with there. */
export const PlacePins = ({ looks }: { looks: readonly Look[] }) => (
  <>
    {looks.map((look) => {
      const { entry, number, current, at, answer, mark } = look
      const place = placeOf(at)
      if (!place) return null
      const [x, y] = [place[0] / 10, place[1] / 10]
      const left = place[0] <= FAR
      return (
        <span
          key={entry}
          className="absolute flex -translate-y-1/2 items-center gap-1"
          style={{
            top: `${y}%`,
            ...(left
              ? { left: `calc(${x}% - 14px)` }
              : { right: `calc(${100 - x}% - 14px)`, flexDirection: 'row-reverse' }),
            ...(answer ? { width: `min(15rem, calc(${left ? 100 - x : x}% + 10px))` } : {}),
            zIndex: current ? 20 : undefined,
            pointerEvents: mark || answer ? undefined : 'none',
          }}
        >
          {mark && !current ? (
            <button
              type="button"
              aria-label={mark.said}
              // As large to a finger as a finger is.
              className={`relative after:absolute after:-inset-2 ${PIN} ${faceOf(look)}`}
              onClick={mark.onPress}
            >
              {number}
            </button>
          ) : (
            <span aria-hidden className={`pointer-events-none ${PIN} ${faceOf(look)}`}>
              {number}
            </span>
          )}
          {answer}
        </span>
      )
    })}
  </>
)

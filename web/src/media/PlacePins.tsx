import { placeOf, type Look } from './looks'

/** The numbers of questions where they look, over the picture that they stand in. */
export const PlacePins = ({ looks }: { looks: readonly Look[] }) => (
  <>
    {looks.map(({ entry, number, current, at }) => {
      const place = placeOf(at)
      return place ? (
        <span
          key={entry}
          aria-hidden
          className={`pointer-events-none absolute flex size-7 -translate-x-1/2 -translate-y-1/2 items-center justify-center rounded-full border-2 text-[14px] font-bold print:border-black print:bg-white print:text-black ${current ? 'z-10 border-white bg-ink text-ground ring-2 ring-ink' : 'border-ink bg-sheet text-ink'}`}
          style={{ left: `${place[0] / 10}%`, top: `${place[1] / 10}%` }}
        >
          {number}
        </span>
      ) : null
    })}
  </>
)

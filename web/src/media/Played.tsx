import { Shown } from './Shown'
import { useAbout } from './useAbout'

/** What of a source is heard, watched or leafed through. */
export function Played({ file, title }: { file: string; title: string }) {
  const [about] = useAbout([file])
  return (
    <div className="mb-2">
      {about ? <Shown file={about} alt={about.kind === 'pdf' ? about.name : title || about.name} /> : null}
    </div>
  )
}

import { Download } from 'lucide-react'
import { later } from '@/ui/later'
import { localOf } from './local'
import type { Look } from './looks'
import { useMedia, type FileAbout } from './place'
import { sizeOf } from './words'

// Few files are leafed through.
const Pages = later(() => import('./Pages').then((it) => it.Pages))

/** A file where it is read: a picture, a player, the pages of a PDF; what cannot be shown is fetched. */
export function Shown({ file, alt, looks = [] }: { file: FileAbout; alt?: string; looks?: readonly Look[] }) {
  const { urlOf } = useMedia()
  const url = localOf(file.id)?.url ?? urlOf(file.id)
  const name = alt ?? file.name
  if (file.kind === 'picture')
    return (
      <img src={url} alt={name} className="max-h-[70vh] max-w-full self-start rounded border bg-white object-contain" />
    )
  if (file.kind === 'sound')
    return <audio controls preload="metadata" src={url} aria-label={name} className="w-full max-w-lg" />
  if (file.kind === 'film')
    return <video controls preload="metadata" src={url} aria-label={name} className="max-h-[60vh] max-w-full rounded" />
  if (file.pages > 0) return <Pages file={file} looks={looks} />
  return (
    <p>
      <a href={url} className="inline-flex min-h-11 items-center gap-2 font-semibold text-blue underline">
        <Download aria-hidden className="size-4" /> {file.name || 'the file'} ({sizeOf(file.size)})
      </a>
    </p>
  )
}

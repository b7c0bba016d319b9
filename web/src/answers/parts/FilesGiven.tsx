import { Shown } from '@/media/Shown'
import { useAbout } from '@/media/useAbout'

/** Files that were given, where they are read. */
export function FilesGiven({ files }: { files: string[] }) {
  const about = useAbout(files)
  return (
    <>
      {about.map((file, i) => (
        <Shown key={file.id} file={file} alt={file.kind === 'picture' ? `Picture ${i + 1}, ${file.name}` : undefined} />
      ))}
      {files.length > about.length ? <p className="text-quiet">Fetching what was given …</p> : null}
    </>
  )
}

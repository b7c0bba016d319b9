import { useQuery } from '@tanstack/react-query'
import { localOf } from './local'
import { useMedia, type FileAbout } from './place'

/** What files are, in the order asked for; what is not known yet is left out. */
export function useAbout(ids: string[]): FileAbout[] {
  const { about, urlOf } = useMedia()
  const asked = ids.filter((id) => !localOf(id)).sort()
  const { data } = useQuery({
    queryKey: ['files', urlOf(''), asked],
    queryFn: () => about(asked),
    enabled: asked.length > 0,
    staleTime: Infinity,
    placeholderData: (old: FileAbout[] | undefined) => old,
  })
  return ids.flatMap((id) => localOf(id)?.about ?? data?.find((file) => file.id === id) ?? [])
}

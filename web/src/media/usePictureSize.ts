import { useEffect, useState } from 'react'
import { useMedia } from './place'

/** Width and height of a picture, or of a page of a PDF, in its pixels, once it is here. */
export function usePictureSize(file: string, page?: number): { width: number; height: number } | null {
  const { urlOf } = useMedia()
  const url = urlOf(file, page)
  const [known, setKnown] = useState<{ url: string; width: number; height: number } | null>(null)
  useEffect(() => {
    const picture = new Image()
    picture.onload = () => setKnown({ url, width: picture.naturalWidth || 1000, height: picture.naturalHeight || 1000 })
    picture.src = url
    return () => {
      picture.onload = null
    }
  }, [url])
  return known?.url === url ? known : null
}

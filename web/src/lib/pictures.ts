import { createContext } from 'react'

/** Where a picture in a text is fetched: by staff, unless a place of files says otherwise. */
export const PictureUrl = createContext<(id: string) => string>((id) => `/api/files/${id}`)

export type TextPicture = { file: string; alt: string; width: number; height: number }

/** Asks for a picture to put into a text, or for other words for one; null takes it out. Where nobody can ask, there are none. */
export type AskPicture = (now: TextPicture | null, put: (picture: TextPicture | null) => void) => void
export const PictureAsked = createContext<AskPicture | null>(null)

/** Keeps a picture that was pasted, and says what it is; refused with a word of why. */
export type SendPicture = (file: File) => Promise<TextPicture>
export const PictureSent = createContext<SendPicture | null>(null)

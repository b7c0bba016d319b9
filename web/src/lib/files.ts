/** The text of a file, in the encoding it was written in. */
export async function textOf(file: File): Promise<string> {
  const bytes = await file.arrayBuffer()
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    // Spreadsheets on older machines still write the Windows code page.
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

/** The bytes of a file as base64, to be sent beside other things. */
export const encoded = (file: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result).split(',')[1] ?? '')
    reader.onerror = () => reject(reader.error ?? new Error('The file cannot be read.'))
    reader.readAsDataURL(file)
  })

/** Pixels across of the picture that is made of a board: sharp on a projector, small in a bank. */
const ACROSS = 1600

const dataOf = (blob: Blob) =>
  new Promise<string>((done, fail) => {
    const reader = new FileReader()
    reader.onload = () => done(String(reader.result))
    reader.onerror = () => fail(new Error('It could not be read.'))
    reader.readAsDataURL(blob)
  })

/** A drawing as a picture, with what it was drawn on. */
export async function pictureOf(drawing: SVGSVGElement): Promise<Blob> {
  const copy = drawing.cloneNode(true) as SVGSVGElement
  const { width, height } = drawing.viewBox.baseVal
  copy.setAttribute('width', String(ACROSS))
  copy.setAttribute('height', String(Math.round((ACROSS * height) / width)))
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  copy.setAttribute('font-family', getComputedStyle(document.body).fontFamily)
  // A picture that is drawn from text may fetch nothing: what it shows is put into it.
  for (const image of copy.querySelectorAll('image')) {
    const answer = await fetch(image.getAttribute('href') ?? '')
    if (!answer.ok) throw new Error('What it is drawn on could not be fetched.')
    image.setAttribute('href', await dataOf(await answer.blob()))
  }
  const shown = new Image()
  shown.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(new XMLSerializer().serializeToString(copy))}`
  await shown.decode()
  const canvas = document.createElement('canvas')
  canvas.width = ACROSS
  canvas.height = Math.round((ACROSS * height) / width)
  const brush = canvas.getContext('2d')
  if (!brush) throw new Error('This browser cannot make a picture of it.')
  brush.fillStyle = '#fff'
  brush.fillRect(0, 0, canvas.width, canvas.height)
  brush.drawImage(shown, 0, 0, canvas.width, canvas.height)
  return new Promise((done, fail) =>
    canvas.toBlob((blob) => (blob ? done(blob) : fail(new Error('No picture came of it.'))), 'image/png'),
  )
}

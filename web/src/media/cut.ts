/** What is done to a photo before it is sent: quarter turns with the clock, and the part of the turned one that is kept, in per cent. */
export type Cut = { turns: 0 | 1 | 2 | 3; left: number; right: number; top: number; bottom: number }
export const WHOLE: Cut = { turns: 0, left: 0, right: 100, top: 0, bottom: 100 }

export const isWhole = ({ turns, left, right, top, bottom }: Cut) =>
  turns === 0 && left === 0 && right === 100 && top === 0 && bottom === 100

// What a page of handwriting needs to be read; phones take four times as many.
const LONGEST = 2400

/** The size of the turned picture, the part of it that is kept, and how large that is drawn. */
export function measured(width: number, height: number, cut: Cut) {
  const [w, h] = cut.turns % 2 === 0 ? [width, height] : [height, width]
  const x = Math.round((w * cut.left) / 100)
  const y = Math.round((h * cut.top) / 100)
  const kept = {
    x,
    y,
    width: Math.max(1, Math.round((w * cut.right) / 100) - x),
    height: Math.max(1, Math.round((h * cut.bottom) / 100) - y),
  }
  const scale = Math.min(1, LONGEST / Math.max(kept.width, kept.height))
  return { width: w, height: h, kept, scale }
}

/** Draws the part that is kept, upright. */
export function draw(canvas: HTMLCanvasElement, photo: ImageBitmap, cut: Cut, scale: number) {
  const { width, height, kept } = measured(photo.width, photo.height, cut)
  canvas.width = Math.max(1, Math.round(kept.width * scale))
  canvas.height = Math.max(1, Math.round(kept.height * scale))
  const to = canvas.getContext('2d')
  if (!to) return
  to.scale(scale, scale)
  to.translate(-kept.x + width / 2, -kept.y + height / 2)
  to.rotate((cut.turns * Math.PI) / 2)
  to.drawImage(photo, -photo.width / 2, -photo.height / 2)
}

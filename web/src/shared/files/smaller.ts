/** As in core: Limits.FILE_BYTES. What is larger is refused there. */
const MOST_BYTES = 1_900_000

/** Enough to read a page of a book that was photographed, on any screen. */
const LONGEST_EDGE = 2000

const PICTURE = /^image\/(jpeg|png|webp)$/

/** Whether a file is a picture that would be refused for its size, as those of most phones would. */
export function isTooLargeAPicture(file: File): boolean {
  return PICTURE.test(file.type) && file.size > MOST_BYTES
}

/** How large a picture becomes that fits. */
export function fitted(width: number, height: number): { width: number; height: number } {
  const share = Math.min(1, LONGEST_EDGE / Math.max(width, height))
  return { width: Math.round(width * share), height: Math.round(height * share) }
}

/** A picture that is too large made smaller on the own device; anything else, and what cannot be made smaller, as it is. */
export async function smaller(file: File): Promise<File> {
  if (!isTooLargeAPicture(file)) return file
  try {
    const picture = await createImageBitmap(file)
    const canvas = document.createElement('canvas')
    Object.assign(canvas, fitted(picture.width, picture.height))
    const on = canvas.getContext('2d')
    if (!on) return file
    on.drawImage(picture, 0, 0, canvas.width, canvas.height)
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', 0.85))
    return blob && blob.size < file.size ? new File([blob], `${nameOf(file)}.jpg`, { type: 'image/jpeg' }) : file
  } catch {
    // What the browser cannot read is refused by the server, with its reason.
    return file
  }
}

function nameOf(file: File): string {
  return file.name.replace(/\.[^.]*$/, '') || 'picture'
}

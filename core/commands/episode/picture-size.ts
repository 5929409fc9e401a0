/** Largest picture that is taken, in bytes. */
export const largestPicture = 20 * 1024 * 1024

/** What is said of a picture that is too large. */
export function pictureTooLarge(name: string, bytes: number): string {
  return `“${name}” has ${Math.round(bytes / 1048576)} MB; at most 20 MB are taken. Save it smaller, 1280 × 720 is enough, and add it again.`
}

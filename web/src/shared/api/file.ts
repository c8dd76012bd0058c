/** Hands a document to the browser to be kept or opened. */
export function saveFile(file: Blob, name: string): void {
  const address = URL.createObjectURL(file)
  const link = document.createElement('a')
  link.href = address
  link.download = name
  link.click()
  // the browser has taken it over by the next turn
  setTimeout(() => URL.revokeObjectURL(address))
}

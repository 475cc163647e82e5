/** Hands a text to the browser as a file to keep. */
export function saveFile(fileName: string, text: string, type: string): void {
  const address = URL.createObjectURL(new Blob([text], { type }));
  saveFrom(address, fileName);
  URL.revokeObjectURL(address);
}

/** The browser saves what lies at an address; left out, by the name that the server gives it. */
export function saveFrom(address: string, fileName = ''): void {
  const link = document.createElement('a');
  link.href = address;
  link.download = fileName;
  link.click();
}

/** Lets the browser keep something as a file. */
export function keepFile(file: Blob, name: string): void {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(file);
    link.download = name;
    link.click();
    URL.revokeObjectURL(link.href);
}

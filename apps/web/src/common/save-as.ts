/** A title as the name of a file: what systems will not have in one is left out. */
export const fileName = (title: string): string =>
  title
    .replace(/[\\/:*?"<>|\p{Cc}]+/gu, ' ')
    .trim()
    .slice(0, 80) || 'Map';

/** Hands the browser a file to save. */
export function saveAs(name: string, content: Blob): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  // The browser has begun to save by then.
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

declare module 'wawoff2' {
  /** A WOFF2 file's font as it was before it was packed. */
  export function decompress(file: Uint8Array): Promise<Uint8Array>;
}

/** What this browser keeps by name. Where it keeps nothing, or what it kept was spoiled, there is nothing. */
export function readHere<T>(key: string): T | null {
  try {
    const kept = localStorage.getItem(key);
    return kept === null ? null : (JSON.parse(kept) as T);
  } catch {
    return null;
  }
}

/** Keeps it, or with null forgets it. Where nothing can be kept, it lives as long as its page. */
export function writeHere(key: string, value: unknown): void {
  try {
    if (value === null) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(value));
  } catch {
    // A browser that refuses, or has no room.
  }
}

export function keysHere(stem: string): string[] {
  try {
    return Object.keys(localStorage).filter((key) => key.startsWith(stem));
  } catch {
    return [];
  }
}

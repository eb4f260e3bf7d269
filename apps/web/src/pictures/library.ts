import { librarySearch } from '@ichnograph/library';
import type { Library, LibraryPicture } from '@ichnograph/library';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';

const load = async <T>(path: string): Promise<T> => {
  const response = await fetch(`/library/${path}`);
  if (!response.ok) throw new Error(`the library has no ${path}`);
  return (await response.json()) as T;
};

const FOR_EVER = { staleTime: Infinity, gcTime: Infinity };
/** Languages with words of their own; in English the index itself has them. */
const LANGUAGES = 'da de es et fi fr hu it lt nb nl pl pt ru sv uk'.split(' ');

export interface OpenLibrary {
  library: Library;
  search: (sought: { words: string; category: string | null }) => LibraryPicture[];
}

/** The shipped pictures, searched in English and in the assignment's language; null until they are there. */
export function useLibrary(language: string): { open: OpenLibrary | null; isLost: boolean } {
  const [base] = language.toLowerCase().split('-');
  const own = base !== undefined && LANGUAGES.includes(base) ? base : null;
  const index = useQuery({ queryKey: ['library'], queryFn: () => load<Library>('index.json'), ...FOR_EVER });
  const words = useQuery({
    queryKey: ['library', own],
    queryFn: () => load<Record<string, string>>(`words/${own}.json`),
    enabled: own !== null,
    ...FOR_EVER,
  });
  const open = useMemo(
    () => index.data && { library: index.data, search: librarySearch(index.data, words.data ?? {}) },
    [index.data, words.data],
  );
  return { open: open ?? null, isLost: index.isError };
}

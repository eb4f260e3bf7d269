import { create } from 'zustand';
import { readHere, writeHere } from './kept-here';

const KEY = 'names are hidden while marking';

/** Whether names are hidden while one marks: kept on this machine. */
export const useHiddenNames = create<{ hidden: boolean; set: (hidden: boolean) => void }>((set) => ({
  hidden: readHere(KEY) !== null,
  set: (hidden) => {
    set({ hidden });
    writeHere(KEY, hidden ? true : null);
  },
}));

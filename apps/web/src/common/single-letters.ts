import { create } from 'zustand';
import { readHere, writeHere } from './kept-here';

const KEY = 'single letters are off';

/** Whether single letters act as keys: who dictates, or rests a hand on the keyboard, switches them off. */
export const useSingleLetters = create<{ on: boolean; set: (on: boolean) => void }>((set) => ({
  on: readHere(KEY) === null,
  set: (on) => {
    set({ on });
    writeHere(KEY, on ? null : true);
  },
}));

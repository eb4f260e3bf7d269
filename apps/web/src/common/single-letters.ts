import { create } from 'zustand';

const KEY = 'single letters are off';

function kept(): boolean {
  try {
    return localStorage.getItem(KEY) === null;
  } catch {
    return true;
  }
}

/** Whether single letters act as keys: who dictates, or rests a hand on the keyboard, switches them off. */
export const useSingleLetters = create<{ on: boolean; set: (on: boolean) => void }>((set) => ({
  on: kept(),
  set: (on) => {
    set({ on });
    try {
      if (on) localStorage.removeItem(KEY);
      else localStorage.setItem(KEY, 'yes');
    } catch {
      // Where nothing can be kept, it holds as long as the page.
    }
  },
}));

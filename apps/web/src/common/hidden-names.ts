import { create } from 'zustand';

const KEY = 'names are hidden while marking';

/** Whether names are hidden while one marks: kept on this machine. */
export const useHiddenNames = create<{ hidden: boolean; set: (hidden: boolean) => void }>((set) => ({
  hidden: localStorage.getItem(KEY) !== null,
  set: (hidden) => {
    set({ hidden });
    if (hidden) localStorage.setItem(KEY, 'yes');
    else localStorage.removeItem(KEY);
  },
}));

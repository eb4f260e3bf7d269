/** A picture that was chosen, before it is on the map. */
export interface Chosen {
  src: string;
  /** what it is called; first words for those who cannot see it */
  name: string;
  /** pixels; null where it has any size */
  width: number | null;
  height: number | null;
}

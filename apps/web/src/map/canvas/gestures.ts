export interface Spot {
  x: number;
  y: number;
}

/** What a person may do on the canvas. Without these it is there to be read. */
export interface Gestures {
  onMove: (ids: readonly string[], step: Spot) => void;
  onLink: (from: string, to: string) => void;
  /** the ring was dropped where there is no topic, or pressed, and then with no place */
  onGrow: (from: string, at: Spot | null) => void;
  onMake: (at: Spot) => void;
  onEdit: (id: string) => void;
  /** topics were dropped on another */
  onHang: (ids: readonly string[], from: string) => void;
  /** a topic that nothing is linked to was dropped on a link */
  onBetween: (id: string, link: string, step: Spot) => void;
  /** a region's title was pressed */
  onRegion: (id: string) => void;
}

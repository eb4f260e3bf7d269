export interface Spot {
  x: number;
  y: number;
}

/** What a person may do on the canvas. Without these it is there to be read. */
export interface Gestures {
  onMove: (ids: readonly string[], step: Spot) => void;
  onLink: (from: string, to: string) => void;
  /** the grip was dropped where there is no topic */
  onGrow: (from: string, at: Spot) => void;
  onMake: (at: Spot) => void;
  onEdit: (id: string) => void;
  /** a topic was dropped on another */
  onHang: (id: string, from: string) => void;
  /** a region's title was pressed */
  onRegion: (id: string) => void;
}

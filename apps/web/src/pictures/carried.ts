import type { DragEvent } from 'react';
import type { Chosen } from './choice';

/** The picture a pointer carries from where it is chosen to the map. Not in the event: what another page drags in is none. */
let carried: Chosen | null = null;

export const carriedPicture = (): Chosen | null => carried;

/** What makes a picture one that can be carried. The dialog it stands in gives way as long as it is (`data-carrying`). */
export const carriable = (picture: Chosen) => ({
  draggable: true,
  onDragStart: ({ dataTransfer }: DragEvent): void => {
    carried = picture;
    dataTransfer.effectAllowed = 'copy';
    dataTransfer.setData('text/plain', picture.name);
    // A browser that sees the source go in the very event carries nothing.
    setTimeout(() => (document.body.dataset.carrying = ''));
  },
  onDragEnd: (): void => {
    carried = null;
    delete document.body.dataset.carrying;
  },
});

import { IsString, MaxLength } from 'class-validator';

/** What may be brought at once, bytes. */
export const MOST_BYTES = 10 * 1024 * 1024;

export class FileName {
  /** what whoever brings it calls it */
  @IsString()
  @MaxLength(300, { message: 'a file’s name has room for 300 characters' })
  name!: string;
}

/** A picture or file that somebody brought. */
export interface FileRow {
  /** as a map names it */
  src: string;
  name: string;
  at: string;
  type: string;
  bytes: number;
  /** of pictures, pixels */
  width: number | null;
  height: number | null;
  /** whether its strokes are kept, so that it can be drawn on again */
  isSketch: boolean;
}

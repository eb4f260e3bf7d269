import { IsBoolean, IsISO8601 } from 'class-validator';

/** A page of a map for whoever has its link, until a day. */
export class NewSharedPage {
  @IsISO8601({ strict: true }, { message: 'say until when it is shown' })
  endsAt!: string;

  /** whether it says who made the map */
  @IsBoolean({ message: 'names are shown or not' })
  showsNames!: boolean;
}

export interface SharedPageRow {
  id: string;
  /** the end of its address: `/shared/TOKEN`, and `/shared/TOKEN/embed` to be framed */
  token: string;
  showsNames: boolean;
  /** ISO instants */
  madeAt: string;
  endsAt: string;
}

export interface SharedPages {
  /** whether one may be made: an assignment may forbid it, and somebody who reads a map makes none of it */
  mayMake: boolean;
  pages: SharedPageRow[];
}

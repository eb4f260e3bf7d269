import { IsObject, IsOptional, IsString, IsUUID, Length, MaxLength } from 'class-validator';

const FOLDER = { message: 'a folder’s name has room for 100 characters' };
const TITLE = { message: 'a title has room for 300 characters' };

/** Begins a map of one's own: empty, or from something that is there. */
export class NewOwnMap {
  @IsString()
  @MaxLength(300, TITLE)
  title!: string;

  @IsOptional()
  @IsString()
  @MaxLength(100, FOLDER)
  folder?: string;

  /** the id of a ready-made assignment, whose starter and legend it begins with */
  @IsOptional()
  @IsString()
  @Length(1, 60)
  readyMade?: string;

  /** a map of one's own to copy */
  @IsOptional()
  @IsUUID(undefined, { message: 'choose a map' })
  copyOf?: string;

  /** a work of one's own to copy */
  @IsOptional()
  @IsUUID(undefined, { message: 'choose a map' })
  fromWork?: string;

  /** a share whose map is to be copied */
  @IsOptional()
  @IsUUID(undefined, { message: 'choose a map' })
  fromShare?: string;

  /** a map file to begin with, as it was understood of a file that was brought */
  @IsOptional()
  @IsObject({ message: 'a map is what its file holds' })
  map?: object;
}

export class ChangeOwnMap {
  /** as a map's file has it */
  @IsOptional()
  @IsObject()
  legend?: object;

  @IsOptional()
  @IsString()
  @MaxLength(300, TITLE)
  title?: string;

  /** empty: in no folder */
  @IsOptional()
  @IsString()
  @MaxLength(100, FOLDER)
  folder?: string;
}

export interface OwnMapRow {
  id: string;
  title: string;
  folder: string;
  topics: number;
  links: number;
  changedAt: string;
  /** what its topics say, for looking it up */
  words: string;
}

export interface OwnMapDetail extends OwnMapRow {
  legend: Record<string, unknown>;
  map: Record<string, unknown>;
}

export const ownMapDocument = (id: string): string => `own:${id}`;

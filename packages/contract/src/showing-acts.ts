import { Type } from 'class-transformer';
import {
  IsBoolean,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  MaxLength,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { HereView } from './here.js';
import type { ShowingPlace } from './showings.js';

/** Shows an own map or a work to a class, live. */
export class NewShowing {
  @IsUUID(undefined, { message: 'choose a class' })
  classId!: string;

  @IsOptional()
  @IsUUID()
  ownMapId?: string;

  @IsOptional()
  @IsUUID()
  workId?: string;

  /** one of the map's tours; left out: the map, as the presenter looks at it */
  @IsOptional()
  @IsString()
  @Length(1, 200)
  tourId?: string;
}

export class GoTo implements ShowingPlace {
  @ValidateIf(({ topic }: GoTo) => topic !== null)
  @IsString()
  @Length(1, 200)
  topic!: string | null;

  @IsString()
  @MaxLength(5000)
  words!: string;

  @IsBoolean()
  line!: boolean;

  @ValidateIf(({ view }: GoTo) => view !== null)
  @ValidateNested()
  @Type(() => HereView)
  view!: HereView | null;

  /** that the map is another than it was */
  @IsOptional()
  @IsBoolean()
  changed?: boolean;
}

import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Max,
  Min,
  ValidateNested,
} from 'class-validator';
import { HERE_LIMITS } from './live.js';

/** Farther from the middle than any map reaches, canvas units. */
const FAR = 1e7;

/** A place on a map, canvas units. */
export class HerePlace {
  @IsNumber()
  @Min(-FAR)
  @Max(FAR)
  x!: number;

  @IsNumber()
  @Min(-FAR)
  @Max(FAR)
  y!: number;
}

/** The part of a map that somebody sees: its upper left corner and its size, canvas units. */
export class HereView extends HerePlace {
  @IsNumber()
  @Min(0)
  @Max(FAR)
  width!: number;

  @IsNumber()
  @Min(0)
  @Max(FAR)
  height!: number;
}

/** What a page says of the person before it (a stateless message, JSON). Who that is, the server knows; nothing of it is stored. */
export class Here {
  @IsIn(['here'])
  type!: 'here';

  /** where the hand points; left out where it is off the map */
  @IsOptional()
  @ValidateNested()
  @Type(() => HerePlace)
  at?: HerePlace;

  /** ids of what is chosen */
  @IsArray()
  @ArrayMaxSize(HERE_LIMITS.holds)
  @IsString({ each: true })
  @Length(1, 200, { each: true })
  holds!: string[];

  /** the id of what words are being typed into */
  @IsOptional()
  @IsString()
  @Length(1, 200)
  types?: string;

  @IsOptional()
  @ValidateNested()
  @Type(() => HereView)
  view?: HereView;

  /** one who only reads is seen by the others only where they choose to be */
  @IsOptional()
  @IsBoolean()
  shown?: boolean;
}

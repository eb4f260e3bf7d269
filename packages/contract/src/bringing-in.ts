import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsObject,
  IsString,
  IsUUID,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import { Type } from 'class-transformer';

/** A map that somebody made elsewhere, and whose it is. */
export class BroughtMap {
  @IsUUID(undefined, { message: 'choose whose map it is' })
  studentId!: string;

  /** the file it came in, as it was called */
  @IsString()
  @MaxLength(255, { message: 'a file’s name has room for 255 characters' })
  fileName!: string;

  /** a map file */
  @IsObject({ message: 'a map is needed' })
  map!: object;
}

/** Maps of a class, handed in by whoever teaches it. All of them, or none. */
export class BringInMaps {
  @IsArray()
  @ArrayMinSize(1, { message: 'choose a file first' })
  @ArrayMaxSize(200, { message: 'at most 200 maps at once' })
  @ValidateNested({ each: true })
  @Type(() => BroughtMap)
  maps!: BroughtMap[];
}

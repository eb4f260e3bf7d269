import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsInt,
  IsISO8601,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateIf,
} from 'class-validator';
import { REVIEW_LIMITS } from './reviews.js';
import type { ReviewGiven } from './reviews.js';

const SHARE = { message: 'reviews count at 0 to 50 per cent of the criteria' };

/** Hands the maps of a class out to be looked at. */
export class NewReviewRound {
  @IsInt()
  @Min(1)
  @Max(REVIEW_LIMITS.most, { message: 'each is given one to three maps' })
  each!: number;

  @IsBoolean()
  criteria!: boolean;

  @IsBoolean()
  sentences!: boolean;

  /** whether notes, sources and what stands beside the structure are shown */
  @IsBoolean()
  notes!: boolean;

  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0, SHARE)
  @Max(0.5, SHARE)
  share!: number;

  @IsOptional()
  @ValidateIf((one: NewReviewRound) => one.closesAt !== null)
  @IsISO8601({ strict: true }, { message: 'say until when maps are looked at' })
  closesAt?: string | null;

  /** pairs of accounts that do not look at one another's maps */
  @IsArray()
  @ArrayMaxSize(REVIEW_LIMITS.apart)
  apart!: [string, string][];
}

export class ChangeReviewRound {
  @IsOptional()
  @IsNumber({ allowNaN: false, allowInfinity: false })
  @Min(0, SHARE)
  @Max(0.5, SHARE)
  share?: number;

  @IsOptional()
  @ValidateIf((one: ChangeReviewRound) => one.closesAt !== null)
  @IsISO8601({ strict: true }, { message: 'say until when maps are looked at' })
  closesAt?: string | null;
}

/** Keeps what a reviewer gave so far, over the version it was changed from and no other. */
export class SaveReview implements ReviewGiven {
  @IsInt()
  version!: number;

  @IsObject()
  levels!: ReviewGiven['levels'];

  @IsObject()
  verdicts!: ReviewGiven['verdicts'];

  @IsString()
  @MaxLength(REVIEW_LIMITS.words, { message: 'there is room for 4,000 characters' })
  words!: string;
}

import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsISO8601,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Max,
  MaxLength,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { ARRANGEMENTS, GATHERING_LIMITS, MADE_OF_IDEAS } from './gatherings.js';
import type { Arrangement, MadeOfIdeas } from './gatherings.js';

const QUESTION = { message: 'a question has 1 to 300 characters' };

/** A question to a class, answered from its own devices. */
export class NewGathering {
  @IsUUID(undefined, { message: 'choose a class' })
  classId!: string;

  @IsString()
  @Length(1, GATHERING_LIMITS.question, QUESTION)
  question!: string;

  /** whether the students do not see who sent what */
  @IsBoolean({ message: 'say whether names are shown' })
  anonymous!: boolean;

  /** BCP 47: by its words ideas are alike */
  @IsOptional()
  @IsString()
  @Length(2, 35)
  language?: string;
}

export class IdeaGroup {
  @IsUUID()
  id!: string;

  @IsString()
  @Length(1, GATHERING_LIMITS.name, { message: 'a group’s name has 1 to 60 characters' })
  name!: string;
}

/** What of a gathering is changed by whoever leads it. */
export class ChangeGathering {
  @IsOptional()
  @IsString()
  @Length(1, GATHERING_LIMITS.question, QUESTION)
  question?: string;

  @IsOptional()
  @IsBoolean()
  open?: boolean;

  @IsOptional()
  @IsBoolean()
  anonymous?: boolean;

  /** 1: what do you know already? 2: and now? */
  @IsOptional()
  @IsInt()
  @Min(1)
  @Max(2)
  round?: 1 | 2;

  @IsOptional()
  @IsArray()
  @ArrayMaxSize(GATHERING_LIMITS.groups, { message: 'there are 12 groups at most' })
  @ValidateNested({ each: true })
  @Type(() => IdeaGroup)
  groups?: IdeaGroup[];
}

export class SendIdea {
  @IsString()
  @Length(1, GATHERING_LIMITS.idea, { message: 'an idea has 1 to 120 characters' })
  text!: string;
}

/** What whoever leads does with ideas. */
export class ArrangeIdeas {
  @IsIn(ARRANGEMENTS, { message: 'that cannot be done with ideas' })
  as!: Arrangement;

  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(500)
  @IsUUID(undefined, { each: true })
  ids!: string[];

  /** `merge`: the idea the others fall together with */
  @ValidateIf(({ as }: ArrangeIdeas) => as === 'merge')
  @IsUUID(undefined, { message: 'choose the idea they fall together with' })
  into?: string;

  /** `sort`: a group's id; null: in none */
  @ValidateIf(({ as, group }: ArrangeIdeas) => as === 'sort' && group !== null)
  @IsUUID(undefined, { message: 'choose a group' })
  group?: string | null;

  /** `name`: how it is called from now on */
  @ValidateIf(({ as }: ArrangeIdeas) => as === 'name')
  @IsString()
  @Length(1, GATHERING_LIMITS.idea, { message: 'an idea has 1 to 120 characters' })
  text?: string;
}

/** What is made of a class's ideas in one act. */
export class MakeOfIdeas {
  @IsIn(MADE_OF_IDEAS, { message: 'choose what is to be made of it' })
  as!: MadeOfIdeas;

  /** `terms`: the assignment whose terms they join */
  @ValidateIf(({ as }: MakeOfIdeas) => as === 'terms')
  @IsUUID(undefined, { message: 'choose an assignment' })
  assignmentId?: string;

  /** `map`: whether the class may draw on it */
  @ValidateIf(({ as }: MakeOfIdeas) => as === 'map')
  @IsBoolean({ message: 'say whether the class may draw on it' })
  mayEdit?: boolean;

  /** `map`: until when the class has it */
  @ValidateIf(({ as }: MakeOfIdeas) => as === 'map')
  @IsISO8601({ strict: true }, { message: 'say until when the class has it' })
  endsAt?: string;
}

/** A code as it is typed. */
export class FindGathering {
  @IsString()
  @MaxLength(20)
  code!: string;
}

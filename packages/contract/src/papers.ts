import { IsArray, IsBoolean, IsIn, IsObject, IsOptional } from 'class-validator';

export const EXPORT_FORMS = ['zip', 'pdf', 'maps'] as const;

/** The papers of a class: a file each in one archive, or all in one document. */
export class BeginExport {
  @IsIn(EXPORT_FORMS, { message: 'a class is written out as zip, pdf or maps' })
  as!: (typeof EXPORT_FORMS)[number];
}

export interface ExportState {
  id: string;
  done: number;
  of: number;
  state: 'running' | 'ready' | 'failed' | 'cancelled';
}

const DOCUMENT_PARTS = ['picture', 'outline', 'notes', 'sentences'] as const;
export const DRAWN_AS = ['svg', 'png', 'jpg', 'pdf', 'html', 'docx'] as const;

/** A map to be drawn or set as a file; the same map gives the same file, and nothing of it is kept. */
export class DrawMap {
  @IsIn(DRAWN_AS, { message: `maps are drawn as ${DRAWN_AS.join(', ')}` })
  as!: (typeof DRAWN_AS)[number];

  /** a map file, with the legend it is drawn by */
  @IsObject({ message: 'a map is needed' })
  map!: object;

  @IsOptional()
  @IsBoolean({ message: 'the title block is there or not' })
  block?: boolean;

  @IsOptional()
  @IsIn([1, 2, 4], { message: 'a picture is 1, 2 or 4 times as large' })
  scale?: 1 | 2 | 4;

  @IsOptional()
  @IsBoolean({ message: 'the ground is clear or not' })
  clear?: boolean;

  @IsOptional()
  @IsIn(['a4', 'letter', 'a3'], { message: 'paper is a4, letter or a3' })
  paper?: 'a4' | 'letter' | 'a3';

  @IsOptional()
  @IsBoolean({ message: 'it lies over several sheets or not' })
  tiles?: boolean;

  @IsOptional()
  @IsBoolean({ message: 'it is grey or not' })
  grey?: boolean;

  /** the parts of a document */
  @IsOptional()
  @IsArray()
  @IsIn(DOCUMENT_PARTS, { each: true, message: `a document has ${DOCUMENT_PARTS.join(', ')}` })
  with?: (typeof DOCUMENT_PARTS)[number][];
}

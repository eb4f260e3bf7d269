import { IsIn } from 'class-validator';

export const EXPORT_FORMS = ['zip', 'pdf'] as const;

/** The papers of a class: a file each in one archive, or all in one document. */
export class BeginExport {
  @IsIn(EXPORT_FORMS, { message: 'papers come as zip or pdf' })
  as!: (typeof EXPORT_FORMS)[number];
}

export interface ExportState {
  id: string;
  done: number;
  of: number;
  state: 'running' | 'ready' | 'failed' | 'cancelled';
}

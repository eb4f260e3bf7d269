import { Entity, PrimaryColumn } from 'typeorm';

/** Somebody beside its owner who may change and give out an assignment. */
@Entity('assignment_collaborator')
export class Collaborator {
  @PrimaryColumn({ name: 'assignment_id', type: 'char', length: 36 }) assignmentId!: string;
  @PrimaryColumn({ name: 'account_id', type: 'char', length: 36 }) accountId!: string;
}

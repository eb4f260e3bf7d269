import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A file that was uploaded, named by the SHA-256 of its content; the content lies in the store. */
@Entity('stored_file')
export class StoredFile {
  @PrimaryColumn({ type: 'char', length: 64 }) hash!: string;
  /** judged by content; of pictures image/png or image/jpeg, whatever they were */
  @Column({ type: 'varchar', length: 100 }) type!: string;
  @Column({ type: 'int' }) bytes!: number;
  /** of pictures, pixels */
  @Column({ type: 'int', nullable: true }) width!: number | null;
  @Column({ type: 'int', nullable: true }) height!: number | null;
  /** of a sketch's picture, the hash of the strokes it was drawn from */
  @Column({ name: 'sketch_hash', type: 'char', length: 64, nullable: true }) sketchHash!: string | null;
}

declare module 'linebreak' {
  interface Break {
    position: number;
    required: boolean;
  }
  /** Where a text may be broken, by the Unicode line breaking algorithm (UAX 14). */
  export default class LineBreaker {
    constructor(text: string);
    nextBreak(): Break | null;
  }
}

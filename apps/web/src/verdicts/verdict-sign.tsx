import { Check, CircleQuestionMark, X } from 'lucide-react';
import type { VerdictRow } from '@ichnograph/contract';

export const VERDICT_LOOKS = {
  sound: { word: 'sound', Icon: Check, ink: 'text-action' },
  shaky: { word: 'shaky', Icon: CircleQuestionMark, ink: 'text-ochre' },
  wrong: { word: 'wrong', Icon: X, ink: 'text-madder' },
} as const;

/** A verdict by sign, word and colour; what is sound but says too little asks how. */
export function VerdictSign({ verdict, thin }: Pick<VerdictRow, 'verdict' | 'thin'>) {
  const { word, Icon, ink } = VERDICT_LOOKS[verdict];
  return (
    <span className={`inline-flex items-center gap-1 whitespace-nowrap text-sm font-semibold ${ink}`}>
      <Icon aria-hidden size={14} />
      {word}
      {thin && ', say how'}
    </span>
  );
}

import { labelOf } from '@ichnograph/core';
import type { EvidenceMark } from '@ichnograph/core';
import { useId } from 'react';

/** Hues of equal weight for what belongs together; beside each its name is written, so colour never stands alone. */
const TONES = ['#1f6f63', '#8a5a00', '#3d4a9a', '#9e2b3f', '#5b7a1f', '#6a3d86', '#1d6d8f', '#7a4a2b'];
const toneOf = (tone: number): string => TONES[tone % TONES.length]!;
const MADDER = '#9e2b3f';

/** What explains a chosen requirement on its map, in map coordinates; for use inside an SVG. */
export function EvidenceMarksView({ marks }: { marks: readonly EvidenceMark[] }) {
  const hatch = useId();
  return (
    <g className="pointer-events-none">
      <defs>
        <pattern id={hatch} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line y2="6" stroke={MADDER} strokeWidth="2.5" />
        </pattern>
      </defs>
      {marks.map((mark, i) => (
        <Mark key={i} mark={mark} hatch={hatch} />
      ))}
    </g>
  );
}

function Mark({ mark, hatch }: { mark: EvidenceMark; hatch: string }) {
  switch (mark.mark) {
    case 'meeting':
      return (
        <g transform={`translate(${mark.at.x} ${mark.at.y})`}>
          <g style={{ transform: 'scale(var(--mark-scale, 1))' }} fill="none" stroke={MADDER} strokeWidth="1.8">
            <circle r="7" fill="#fff" fillOpacity="0.55" />
            <path d="M-4 -4L4 4M4 -4L-4 4" />
          </g>
        </g>
      );
    case 'overlap':
      return <rect {...rectOf(mark.box)} fill={`url(#${hatch})`} fillOpacity="0.75" stroke={MADDER} />;
    case 'tint':
      return (
        <>
          <rect {...rectOf(mark.box)} rx="2" fill={toneOf(mark.tone)} fillOpacity="0.13" stroke={toneOf(mark.tone)} />
          <text x={mark.box.left + 2} y={mark.box.top - 3} fontSize="11" fill={toneOf(mark.tone)}>
            {labelOf(mark.label)}
          </text>
        </>
      );
    case 'paper':
      return (
        <>
          <rect {...rectOf(mark.box)} fill="none" stroke="#16202e" strokeWidth="1.5" strokeDasharray="10 5" />
          <text x={mark.box.left + 6} y={mark.box.top - 6} fontSize="13" fill="#16202e">
            {labelOf(mark.label)}
          </text>
        </>
      );
    case 'turn':
      return (
        <g transform={`translate(${mark.at.x} ${mark.at.y})`}>
          <g style={{ transform: 'scale(var(--mark-scale, 1))' }} textAnchor="middle" fontSize="12">
            <Saying y={24} words={`now: ${mark.now}`} colour={MADDER} />
            <Saying y={42} words={`turned: ${mark.turned}`} colour="#1f6f63" />
          </g>
        </g>
      );
  }
}

/** Words on a ground of the canvas’s own colour: the outline of the letters is the ground, so nothing is measured. */
function Saying({ y, words, colour }: { y: number; words: string; colour: string }) {
  return (
    <text y={y} fill={colour} stroke="#fbfbf8" strokeWidth="5" paintOrder="stroke">
      {words}
    </text>
  );
}

const rectOf = ({ left, top, right, bottom }: { left: number; top: number; right: number; bottom: number }) => ({
  x: left,
  y: top,
  width: right - left,
  height: bottom - top,
});

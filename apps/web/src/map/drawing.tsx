import { dashLengths, drawLink, drawTopic, PHRASE_SIZE } from '@ichnograph/core';
import type { Legend, Link, LinkDrawing, Topic } from '@ichnograph/core';
import { memo } from 'react';

/** Topics and links as SVG, line for line as core laid them out: nothing here measures or wraps. */

interface Line {
  text: string;
  x: number;
  y: number;
  width: number;
  foreign: boolean;
}

const Lines = ({ lines }: { lines: readonly Line[] }) =>
  lines.map(({ text, x, y, width, foreign }, i) => (
    <text key={i} x={x} y={y} {...(foreign && { textLength: width, lengthAdjust: 'spacingAndGlyphs' })}>
      {text}
    </text>
  ));

/** A topic around its own centre; for use inside an SVG. */
export const TopicDrawing = memo(function TopicDrawing({ topic, legend }: { topic: Topic; legend: Legend }) {
  const { style, outline, fold, lines } = drawTopic(topic, legend);
  const stroke = style.shape === 'plain' ? 'none' : style.outline;
  return (
    <>
      <path d={outline} fill={style.fill === 'none' ? 'transparent' : style.fill} stroke={stroke} strokeWidth="1.25" />
      {fold && <path d={fold} fill="none" stroke={stroke} />}
      <g
        fill={style.ink}
        fontSize={style.fontSize}
        fontWeight={style.bold ? 700 : undefined}
        fontStyle={style.italic ? 'italic' : undefined}
      >
        <Lines lines={lines} />
      </g>
    </>
  );
});

interface LinkLook {
  selected?: boolean;
  wash?: boolean;
  phraseHidden?: boolean;
  /** the colour of a state, where a check speaks of this link */
  flagged?: string | undefined;
}

/** A link in map coordinates; for use inside an SVG. */
export const LinkDrawingView = memo(function LinkDrawingView({
  link,
  from,
  to,
  legend,
  selected,
  wash,
  phraseHidden,
  flagged,
}: { link: Link; from: Topic; to: Topic; legend: Legend } & LinkLook) {
  const drawing = drawLink(link, from, to, legend);
  const { path, heads, style } = drawing;
  const dash = dashLengths(style);
  return (
    <>
      {flagged && <path d={path} fill="none" stroke={flagged} strokeOpacity="0.28" strokeWidth={style.width + 9} />}
      {(selected || wash) && (
        <path
          d={path}
          fill="none"
          stroke="#1f6f63"
          strokeOpacity={selected ? 0.3 : 0.15}
          strokeWidth={style.width + 9}
        />
      )}
      <path
        d={path}
        fill="none"
        stroke={style.colour}
        strokeWidth={style.width}
        strokeDasharray={dash ?? undefined}
        strokeLinecap={style.dash === 'dotted' ? 'round' : undefined}
      />
      {heads.map((head, i) => (
        <path key={i} d={`M${head.map(({ x, y }) => `${x} ${y}`).join('L')}Z`} fill={style.colour} />
      ))}
      {drawing.phrase && !phraseHidden && <Phrase phrase={drawing.phrase} selected={selected ?? false} />}
    </>
  );
});

function Phrase({
  phrase: { box, block, centre },
  selected,
}: {
  phrase: NonNullable<LinkDrawing['phrase']>;
  selected: boolean;
}) {
  const lines = block.lines.map((line, i) => ({
    ...line,
    x: centre.x - line.width / 2,
    y: box.top + 1 + (i + 0.5) * block.lineHeight + PHRASE_SIZE * 0.34,
  }));
  return (
    <>
      <rect
        x={box.left}
        y={box.top}
        width={box.right - box.left}
        height={box.bottom - box.top}
        fill={selected ? '#e3eeeb' : '#f4f5f1'}
        fillOpacity={selected ? 1 : 0.92}
      />
      <g fill="#16202e" fontSize={PHRASE_SIZE}>
        <Lines lines={lines} />
      </g>
    </>
  );
}

import { dashLengths, familyList, setTexts } from '@ichnograph/core';
import type { DrawnShape, TextLine } from '@ichnograph/core';
import { useState } from 'react';
import { needHan } from '../../common/han-fonts';
import { pictureIsLost, pictureIsThere, useLostPictures } from '../../common/lost-pictures';
import { pictureHref } from '../../common/picture-href';

/** What core drew, as SVG, line for line: nothing here measures or wraps. */

interface Look {
  /** chosen: its words stand on the colour of what is chosen */
  selected?: boolean;
  /** its words are being typed, and hidden meanwhile */
  wordless?: boolean;
}

export function Shapes({ shapes, selected = false, wordless = false }: { shapes: readonly DrawnShape[] } & Look) {
  const shown = wordless ? shapes.filter(({ draw }) => draw === 'path' || draw === 'image') : shapes;
  return shown.map((shape, i) => <Shape key={i} shape={shape} selected={selected} />);
}

function Shape({ shape, selected }: { shape: DrawnShape; selected: boolean }) {
  switch (shape.draw) {
    case 'path': {
      const { d, part, fill, opacity, stroke } = shape;
      return (
        <path
          d={d}
          // A topic without a fill is taken hold of all the same.
          fill={part === 'outline' && fill === 'none' ? 'transparent' : fill}
          fillOpacity={opacity}
          stroke={stroke?.colour}
          strokeWidth={stroke?.width}
          strokeDasharray={(stroke && dashLengths(stroke)) ?? undefined}
          strokeLinecap={stroke?.dash === 'dotted' ? 'round' : undefined}
        />
      );
    }
    case 'ground': {
      const { left, top, right, bottom } = shape.box;
      return (
        <rect
          x={left}
          y={top}
          width={right - left}
          height={bottom - top}
          fill={selected ? '#e3eeeb' : '#f4f5f1'}
          fillOpacity={selected ? 1 : 0.92}
        />
      );
    }
    case 'image':
      return <Picture shape={shape} />;
    case 'words': {
      const { lines, ink, size, bold, italic } = shape;
      return (
        <g fill={ink} fontSize={size} fontWeight={bold ? 700 : undefined} fontStyle={italic ? 'italic' : undefined}>
          {lines.map((line, i) => (
            <Line key={i} line={line} />
          ))}
        </g>
      );
    }
  }
}

/** One line of words, piece by piece as core set them. */
function Line({ line }: { line: TextLine & { x: number; y: number } }) {
  if (line.han) needHan(line.han);
  return setTexts(line).map(({ text, x, squeezedTo }, i) => (
    <text
      key={i}
      x={line.x + x}
      y={line.y}
      {...(line.han && { fontFamily: familyList(line.han) })}
      {...(squeezedTo !== undefined && { textLength: squeezedTo, lengthAdjust: 'spacingAndGlyphs' })}
    >
      {text}
    </text>
  ));
}

/** A broad line under a link's own: that it is chosen, or that a check speaks of it. */
export function Underlay({
  shapes,
  colour,
  opacity,
}: {
  shapes: readonly DrawnShape[];
  colour: string;
  opacity: number;
}) {
  return shapes.map((shape, i) =>
    shape.draw === 'path' && shape.part === 'line' ? (
      <path
        key={i}
        d={shape.d}
        fill="none"
        stroke={colour}
        strokeOpacity={opacity}
        strokeWidth={(shape.stroke?.width ?? 0) + 9}
      />
    ) : null,
  );
}

/** A picture, and where it does not come the words that core drew for it. */
function Picture({ shape: { src, alt, box, instead, opacity } }: { shape: Extract<DrawnShape, { draw: 'image' }> }) {
  const tries = useLostPictures((lost) => lost.tries);
  const [lostAt, setLostAt] = useState<number | null>(null);
  const href = pictureHref(src);
  if (href === null || lostAt === tries) return <Shapes shapes={instead} />;
  return (
    <image
      key={tries}
      href={href}
      x={box.left}
      y={box.top}
      width={box.right - box.left}
      height={box.bottom - box.top}
      aria-label={alt}
      opacity={opacity}
      onLoad={pictureIsThere}
      onError={() => {
        setLostAt(tries);
        pictureIsLost(src, href);
      }}
    />
  );
}

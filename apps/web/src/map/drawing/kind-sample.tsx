import { kindOfLink, linkStyle, dashLengths, outlineOf, pathData, topicStyle } from '@ichnograph/core';
import type { Legend, LinkKind, TopicKind } from '@ichnograph/core';

/** A topic kind's looks, small, as a legend shows them. */
export function KindSample({ kind, width = 30, height = 16 }: { kind: TopicKind; width?: number; height?: number }) {
  const style = topicStyle(
    { id: '', text: '', kind: kind.id, x: 0, y: 0, width, height },
    { topicKinds: [kind], linkKinds: [] },
  );
  const path = pathData(outlineOf(style.shape, { x: 0, y: 0, width: width - 2, height: height - 2 }));
  return (
    <svg
      aria-hidden
      width={width}
      height={height}
      viewBox={`${-width / 2} ${-height / 2} ${width} ${height}`}
      className="mt-0.5 shrink-0"
    >
      <path d={`${path}Z`} fill={style.fill} stroke={style.outline} strokeWidth="1.2" />
    </svg>
  );
}

export function LinkSample({ kind, legend, width = 30 }: { kind: LinkKind; legend: Legend; width?: number }) {
  const style = linkStyle(
    { id: '', from: 'a', to: 'b', phrase: '', kind: kindOfLink(legend, kind.id)?.id ?? null },
    legend,
  );
  const line = Math.min(style.width, 3);
  return (
    <svg aria-hidden width={width} height="16" viewBox={`0 0 ${width} 16`} className="shrink-0">
      <path
        d={`M1 8H${width - (style.arrow === 'none' ? 1 : 7)}`}
        stroke={style.colour}
        strokeWidth={line}
        strokeDasharray={dashLengths({ ...style, width: line }) ?? undefined}
      />
      {style.arrow !== 'none' && <path d={`M${width - 1} 8l-8-3.4v6.8z`} fill={style.colour} />}
    </svg>
  );
}

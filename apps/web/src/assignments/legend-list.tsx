import type { Legend } from '@ichnograph/core';
import { KindSample } from '../map';

export function LegendList({ legend }: { legend: Legend }) {
  return (
    <ul className="grid gap-2">
      {legend.topicKinds.map((kind) => (
        <li key={kind.id} className="flex items-start gap-2">
          <KindSample kind={kind} />
          <span className="words min-w-0">
            <span className="font-semibold">{kind.name}</span>{' '}
            <span className="text-sm text-quiet">{kind.givenBy === 'student' ? 'the student’s own' : 'given'}</span>
            <br />
            <span className="text-sm text-quiet">{kind.purpose}</span>
          </span>
        </li>
      ))}
    </ul>
  );
}

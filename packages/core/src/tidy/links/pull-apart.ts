import { kindOfLink } from '../../map/style.js';
import type { Change } from '../../map/changes.js';
import type { Legend, Link, TopicMap } from '../../map/types.js';
import type { Pulse } from '../../pulse.js';
import { clearLinks } from './clear-links.js';
import type { Course } from './laid-links.js';

/** A course as a link holds it: what its kind or the default says anyway is left to that. */
export const asGiven = ({ route, bend, phraseAt }: Course, kinds: Course['route'] = 'straight') => ({
  route: route === kinds ? undefined : route,
  bend: bend === (route === 'curved' ? 0.2 : 0) ? undefined : bend,
  phraseAt: phraseAt === 0.5 ? undefined : phraseAt,
});

const FIELDS = ['route', 'bend', 'phraseAt'] as const;
/** Whether a hand has said where it runs or where its words stand: that stays. */
const isByHand = (link: Link): boolean => FIELDS.some((field) => link[field] !== undefined);

/**
 * Pulls lines and words apart without moving a topic: links bow round what they would run through, and their words slide to
 * where there is room. What a hand bent or slid stays as it is.
 * @param ids topics and links whose links may change; none: all
 * @param keepRoutes whether links stay on the routes they have
 */
export function pullApart(
  map: TopicMap,
  ids: readonly string[],
  legend: Legend | undefined,
  keepRoutes = false,
  pulse?: Pulse,
): Change[] {
  const chosen = new Set(ids);
  const own = map.links.filter(
    (link) =>
      !isByHand(link) && (chosen.size === 0 || chosen.has(link.id) || chosen.has(link.from) || chosen.has(link.to)),
  );
  const { courses } = clearLinks(map.topics, map.links, new Set(own.map(({ id }) => id)), {
    legend,
    keepRoutes,
    ...(pulse && { pulse }),
  });
  return own.flatMap((link): Change[] => {
    const fields = asGiven(courses.get(link.id)!, kindOfLink(legend, link.kind)?.route);
    return FIELDS.every((field) => fields[field] === link[field])
      ? []
      : [{ do: 'set', in: 'links', id: link.id, fields }];
  });
}

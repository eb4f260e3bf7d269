import { besideSchool, classOf } from './large-class.js';
import { line, ms, quantile, times, title } from './measure.js';

const STUDENTS = 120;
const SUBMISSIONS = 5;
const ROUNDS = 60;

/** How long the pile and Today of a large class take beside those of a class with nobody in it. */
export const benchPile = (): Promise<void> =>
  besideSchool(async (url, database) => {
    const [full, empty] = [await classOf(database, STUDENTS, SUBMISSIONS), await classOf(database, 0, SUBMISSIONS)];
    const teachers = [await signedIn(url, full.teacher), await signedIn(url, empty.teacher)] as const;
    title(`A class of ${STUDENTS} with ${SUBMISSIONS} submissions each, beside one with nobody in it`);
    for (const [what, path] of [
      ['the pile', (id: string) => `publications/${id}/pile`],
      ['Today', () => 'today/teacher'],
    ] as const) {
      const [of, ofNone]: [number[], number[]] = [[], []];
      // In turn, so that a machine that is slow for a while is slow for both.
      for (let round = 0; round < ROUNDS; round++) {
        of.push(await teachers[0](path(full.publication)));
        ofNone.push(await teachers[1](path(empty.publication)));
      }
      const [large, none] = [quantile(of, 0.5), quantile(ofNone, 0.5)];
      line(`${what}: p50 · of an empty class`, `${ms(large)} · ${ms(none)}`);
      line(`${what}: ratio`, times(large / none), 'wanted: at most 3');
    }
  });

/** @returns asks for an address as that person, and answers with the milliseconds it took */
async function signedIn(url: string, name: string): Promise<(path: string) => Promise<number>> {
  const response = await fetch(`${url}/api/demo/sign-in/${name}`, { method: 'POST' });
  const cookie = response.headers.getSetCookie()[0]!.split(';')[0]!;
  return async (path) => {
    const begun = performance.now();
    await (await fetch(`${url}/api/${path}`, { headers: { cookie } })).json();
    return performance.now() - begun;
  };
}

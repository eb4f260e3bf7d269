/** @jest-environment jsdom */
import { beforeEach, expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { SheetRequirement } from '@ichnograph/core';
import { useTold } from '../../common/told';
import { render } from '../../testing/signed-in';
import { PointsOfSeveral } from './points-of-several';

const requirement = (id: string, points: number): SheetRequirement => ({
  id,
  type: 'topic-count',
  params: {},
  level: 'must',
  points,
});
const before = [requirement('a', 6), requirement('b', 2), requirement('c', 3), requirement('d', 9)];
let all: SheetRequirement[];
const points = (): number[] => all.map((one) => one.points);

const user = userEvent.setup();
beforeEach(async () => {
  all = before;
  render(
    <PointsOfSeveral
      of="“Everything is there”"
      members={before.slice(0, 3)}
      change={(make) => void (all = make(all))}
      trigger={<button>Points</button>}
    />,
  );
  await user.click(screen.getByRole('button', { name: 'Points' }));
});

test('each gets so many, typed key by key with a comma; what is not of them keeps its own; it is taken back', async () => {
  await user.type(screen.getByRole('textbox', { name: 'Points' }), '2,5{Enter}');
  expect(points()).toEqual([2.5, 2.5, 2.5, 9]);
  const [last] = useTold.getState().done;
  expect(last!.words).toBe('The points of “Everything is there” are set: 2.5 each.');
  last!.takeBack!();
  expect(points()).toEqual([6, 2, 3, 9]);
});

test('together they get so many, in whole points', async () => {
  await user.click(screen.getByRole('radio', { name: 'Together they get' }));
  await user.type(screen.getByRole('textbox', { name: 'Points' }), '10');
  await user.click(screen.getByRole('button', { name: 'Set them' }));
  expect(points()).toEqual([4, 3, 3, 9]);
});

test('what is no figure, or too much, is said and not taken', async () => {
  const field = screen.getByRole('textbox', { name: 'Points' });
  for (const words of ['many', '-1', '1001']) {
    await user.clear(field);
    await user.type(field, `${words}{Enter}`);
    expect(screen.getByText('A figure from 0 to 1000 for each.')).toBeTruthy();
  }
  expect(all).toBe(before);
});

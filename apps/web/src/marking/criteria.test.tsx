/** @jest-environment jsdom */
import { beforeEach, expect, jest, test } from '@jest/globals';
import { act, fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { useKeys } from '../common/keys';
import { render } from '../testing/signed-in';
import { Criteria } from './criteria';

const level = (name: string, points: number) => ({ name, points, description: '' });
const criteria = [
  { id: 'forces', name: 'Forces', levels: [level('names', 0), level('lists', 2), level('relates', 4)] },
  { id: 'words', name: 'Words', levels: [level('vague', 0), level('sharp', 4)] },
];

const returned = jest.fn();
const given = jest.fn<(criterion: string, level: number | null) => void>();
let user: ReturnType<typeof userEvent.setup>;
beforeEach(() => {
  given.mockClear();
  returned.mockClear();
  jest.useFakeTimers();
  user = userEvent.setup({ advanceTimers: (ms) => jest.advanceTimersByTime(ms) });
});

/** What a page does with it: the level that is given stands a moment later. */
function Page({ refuses = false }: { refuses?: boolean }) {
  useKeys((chord) => (chord === 'Alt+Enter' ? { run: returned } : null));
  const [levels, setLevels] = useState<Record<string, number | null>>({ forces: 0 });
  return (
    <>
      <Criteria
        criteria={criteria}
        levelOf={(id) => levels[id] ?? null}
        onJudge={(id, chosen) => {
          given(id, chosen);
          if (!refuses) setLevels({ ...levels, [id]: chosen });
          return Promise.resolve(!refuses);
        }}
      />
      <button type="button">Elsewhere</button>
    </>
  );
}
const radio = (name: RegExp) => screen.getByRole('radio', { name });
const rest = (): Promise<void> => act(() => jest.advanceTimersByTimeAsync(1000));
const isChosen = (name: RegExp): boolean => radio(name).getAttribute('aria-checked') === 'true';

test('arrows choose, and only the level one rests on is given', async () => {
  render(<Page />);
  act(() => radio(/names/).focus());
  await user.keyboard('{ArrowDown}');
  expect(isChosen(/lists/)).toBe(true);
  await user.keyboard('{ArrowDown}');
  expect([isChosen(/relates/), given.mock.calls.length]).toEqual([true, 0]);
  await rest();
  expect(given.mock.calls).toEqual([['forces', 2]]);
});

test('keys as fast as a hand has them: two arrows and Enter give the third, at once', async () => {
  render(<Page />);
  act(() => radio(/names/).focus());
  await user.keyboard('{ArrowDown}{ArrowDown}{Enter}');
  expect(given.mock.calls).toEqual([['forces', 2]]);
  await rest();
  expect(given).toHaveBeenCalledTimes(1);
});

test('an arrow there and back gives nothing', async () => {
  render(<Page />);
  act(() => radio(/names/).focus());
  await user.keyboard('{ArrowDown}{ArrowUp}');
  await rest();
  expect(given).not.toHaveBeenCalled();
});

test('who leaves before the hand has rested gives what is shown', async () => {
  render(<Page />);
  act(() => radio(/names/).focus());
  await user.keyboard('{ArrowDown}');
  fireEvent.blur(radio(/lists/), { relatedTarget: screen.getByRole('button', { name: 'Elsewhere' }) });
  expect(given.mock.calls).toEqual([['forces', 1]]);
  await rest();
  expect(given).toHaveBeenCalledTimes(1);
});

test('a press gives at once, and pressed again takes it back', async () => {
  render(<Page />);
  await user.click(radio(/lists/));
  await user.click(radio(/lists/));
  expect(given.mock.calls).toEqual([
    ['forces', 1],
    ['forces', null],
  ]);
});

test('Enter sets one, and takes it back where it is set', async () => {
  render(<Page />);
  act(() => radio(/vague/).focus());
  await user.keyboard('{Enter}');
  await user.keyboard('{Enter}');
  expect(given.mock.calls).toEqual([
    ['words', 0],
    ['words', null],
  ]);
});

test('with Alt or Ctrl a key is the page’s: it neither gives nor takes back', async () => {
  render(<Page />);
  act(() => radio(/names/).focus());
  await user.keyboard('{Alt>}{Enter}{ArrowDown}2{/Alt}{Control>}{Enter}{/Control}');
  await rest();
  expect(given).not.toHaveBeenCalled();
  expect(returned).toHaveBeenCalledTimes(1);
});

test('a figure sets the level in its place and goes on to the next criterion', async () => {
  render(<Page />);
  act(() => radio(/names/).focus());
  await user.keyboard('3');
  expect(given.mock.calls).toEqual([['forces', 2]]);
  expect(screen.getByRole('radiogroup', { name: 'Words' }).contains(document.activeElement)).toBe(true);
  await user.keyboard('2');
  expect(given).toHaveBeenLastCalledWith('words', 1);
  // There are two levels: a third is none.
  await user.keyboard('3');
  expect(given).toHaveBeenCalledTimes(2);
});

test('what was refused is not shown as given', async () => {
  render(<Page refuses />);
  await user.click(radio(/lists/));
  await rest();
  expect([isChosen(/names/), isChosen(/lists/)]).toEqual([true, false]);
});

test('where marks are only read nothing can be given', async () => {
  render(<Criteria criteria={criteria} levelOf={() => 1} />);
  await user.click(radio(/names/));
  expect(given).not.toHaveBeenCalled();
  expect(isChosen(/lists/)).toBe(true);
});

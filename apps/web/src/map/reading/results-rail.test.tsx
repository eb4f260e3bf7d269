/** @jest-environment jsdom */
import { checkMap, emptyMap } from '@ichnograph/core';
import type { Assignment } from '@ichnograph/core';
import { expect, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { render } from '../../testing/signed-in';
import { ResultsRail } from './results-rail';

const assignment: Assignment = {
  title: '',
  focusQuestion: '',
  brief: '',
  language: 'en',
  styleMode: 'free',
  legend: { topicKinds: [], linkKinds: [] },
  terms: [{ text: 'Arch' }, { text: 'Pier' }],
  starter: null,
  reference: null,
  requirements: [
    { id: 'r1', type: 'all-terms-present', params: {}, level: 'must', points: 1 },
    { id: 'r2', type: 'links-labelled', params: {}, level: 'must', points: 1 },
    { id: 'r3', type: 'topic-count', params: { min: 2 }, level: 'must', points: 1 },
  ],
  criteria: [],
};

function Rail() {
  const [chosen, setChosen] = useState<string | null>(null);
  return (
    <ResultsRail
      assignment={assignment}
      report={checkMap(emptyMap(), assignment)}
      head={null}
      chosen={chosen}
      onChoose={setChosen}
      onGo={() => undefined}
      resultAction={({ id }) => <button type="button">{`Give other points for ${id}`}</button>}
    />
  );
}
const button = (name: RegExp | string) => screen.getByRole('button', { name });

test('by key one goes from a number into its own card, on to the next number, and Escape goes back and closes', async () => {
  const user = userEvent.setup();
  render(<Rail />);
  // A number says its sentence.
  await user.click(button(/^Requirement 1, not met: Every given term is on the map/));
  await user.tab();
  expect(document.activeElement).toBe(button('Give other points for r1'));
  await user.tab();
  expect(document.activeElement).toBe(button(/^Requirement 2/));
  // The card that shows is that of the number one is at, and Tab goes into that.
  screen.getByRole('region', { name: 'Requirement 2' });
  await user.tab();
  expect(document.activeElement).toBe(button('Give other points for r3'));
  await user.tab({ shift: true });
  expect(document.activeElement).toBe(button(/^Requirement 2/));
  await user.tab();
  await user.keyboard('{Escape}');
  expect(document.activeElement).toBe(button(/^Requirement 2/));
  expect(button(/^Requirement 1/).getAttribute('aria-pressed')).toBe('false');
});

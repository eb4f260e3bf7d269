/** @jest-environment jsdom */
import { afterEach, expect, jest, test } from '@jest/globals';
import { act, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { Trouble } from '../ui/field';
import { stayWhereFocusIs, useFocusHome } from './focus-home';
import { focusIn, focusOn } from './focus-on';
import { useIsPast } from './use-is-past';
import { useRested } from './use-rested';

afterEach(() => void jest.useRealTimers());

function Page() {
  useFocusHome();
  const [has, setHas] = useState(true);
  return (
    <main id="main" tabIndex={-1}>
      {has && (
        <button type="button" onClick={() => setHas(false)}>
          Remove me
        </button>
      )}
    </main>
  );
}

test('the focus goes home when what had it is gone', async () => {
  render(<Page />);
  const button = screen.getByRole('button');
  act(() => button.focus());
  act(() => button.click());
  await waitFor(() => expect(document.activeElement).toBe(screen.getByRole('main')));
});

test('the focus goes into what has just been made, and its words are chosen', async () => {
  focusIn('kind 2');
  const row = document.createElement('div');
  row.dataset.made = 'kind 2';
  row.innerHTML = '<button>Grip</button><input value="Kind 2" />';
  document.body.append(row);
  const input = row.querySelector('input')!;
  await waitFor(() => expect(document.activeElement).toBe(input));
  expect([input.selectionStart, input.selectionEnd]).toEqual([0, 6]);
  row.remove();
});

test('what never comes is not waited for for ever', () => {
  jest.useFakeTimers();
  const find = jest.fn(() => null);
  focusOn(find);
  jest.advanceTimersByTime(10_000);
  expect(find).toHaveBeenCalledTimes(31);
});

test('what an act ran into is brought into sight, each time anew', () => {
  const seen = jest.spyOn(Element.prototype, 'scrollIntoView').mockImplementation(() => undefined);
  const { rerender } = render(<Trouble>{''}</Trouble>);
  expect(seen).not.toHaveBeenCalled();
  rerender(<Trouble>Not taken.</Trouble>);
  rerender(<Trouble>Not taken either.</Trouble>);
  expect(seen).toHaveBeenCalledTimes(2);
  expect(screen.getByRole('alert').textContent).toBe('Not taken either.');
  seen.mockRestore();
});

function Due({ at }: { at: string | null }) {
  return <p>{useIsPast(at) ? 'past' : 'to come'}</p>;
}

test('a due time passes while one looks at it, also one that is further than timers reach', () => {
  jest.useFakeTimers({ now: Date.parse('2026-11-30T12:00:00Z') });
  const { rerender } = render(<Due at="2026-11-30T12:00:05Z" />);
  expect(screen.getByText('to come')).toBeTruthy();
  act(() => jest.advanceTimersByTime(5002));
  expect(screen.getByText('past')).toBeTruthy();
  rerender(<Due at="2027-03-01T00:00:00Z" />);
  expect(screen.getByText('to come')).toBeTruthy();
  rerender(<Due at={null} />);
  expect(screen.getByText('to come')).toBeTruthy();
});

function Rested({ value }: { value: string }) {
  return <p>{useRested(value, 400)}</p>;
}

test('a value counts once it has stood for a moment', () => {
  jest.useFakeTimers();
  const { rerender } = render(<Rested value="a" />);
  for (const value of ['ab', 'abc']) {
    rerender(<Rested value={value} />);
    act(() => jest.advanceTimersByTime(300));
  }
  expect(screen.getByText('a')).toBeTruthy();
  act(() => jest.advanceTimersByTime(100));
  expect(screen.getByText('abc')).toBeTruthy();
});

test('what closes gives the focus back, but not where it has gone elsewhere meanwhile', () => {
  const field = document.body.appendChild(document.createElement('input'));
  const closing = () => {
    const event = new Event('close', { cancelable: true });
    stayWhereFocusIs(event);
    return event.defaultPrevented;
  };
  expect(closing()).toBe(false);
  field.focus();
  expect(closing()).toBe(true);
  field.remove();
});

/** @jest-environment jsdom */
import type { VerdictRow } from '@ichnograph/contract';
import { beforeEach, expect, jest, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { render } from '../testing/signed-in';
import { GiveVerdictRow } from './give-verdict-row';
import type { Given } from './give-verdict-row';

const user = userEvent.setup();
const given = jest.fn<(one: Given) => boolean>();
const stepped = jest.fn<(by: 1 | -1) => void>();
beforeEach(() => {
  given.mockReset().mockReturnValue(true);
  stepped.mockClear();
});

function Row({ first = null }: { first?: Given | null }) {
  const [judged, setJudged] = useState<Given | null>(first);
  return (
    <GiveVerdictRow
      of="Arch pushes Abutment"
      judged={judged?.verdict ? (judged as VerdictRow) : null}
      onStep={stepped}
      onGive={(one) => {
        const isTaken = given(one);
        if (isTaken) setJudged(one);
        return Promise.resolve(isTaken);
      }}
    />
  );
}
const word = (name: string) => screen.getByRole('button', { name });
const remark = () => screen.queryByRole<HTMLInputElement>('textbox');
const shaky: Given = { verdict: 'shaky', thin: false, remark: '' };

test('a figure gives its word and goes on to the next sentence', async () => {
  render(<Row />);
  word('Sound').focus();
  await user.keyboard('3');
  expect(given).toHaveBeenCalledWith({ verdict: 'shaky', thin: false, remark: '' });
  expect(stepped).toHaveBeenCalledWith(1);
  expect(word('Shaky').getAttribute('aria-pressed')).toBe('true');
});

test('“say how” is sound, and asks for it unless something else was said', async () => {
  render(<Row first={{ ...shaky, remark: 'By what?' }} />);
  await user.click(word('Say how'));
  expect(given).toHaveBeenLastCalledWith({ verdict: 'sound', thin: true, remark: 'By what?' });
});

test('the same word again, and 0, take the verdict back', async () => {
  render(<Row first={shaky} />);
  await user.click(word('Shaky'));
  expect(given).toHaveBeenLastCalledWith({ verdict: null, thin: false, remark: '' });
  await user.click(word('Wrong'));
  await user.keyboard('0');
  expect(given).toHaveBeenLastCalledWith({ verdict: null, thin: false, remark: '' });
});

test('R opens the remark, Enter keeps it, and the focus is among the words again', async () => {
  render(<Row first={shaky} />);
  word('Shaky').focus();
  await user.keyboard('r');
  await user.keyboard('By what?{Enter}');
  expect(given.mock.calls).toEqual([[{ ...shaky, remark: 'By what?' }]]);
  expect(remark()).toBeNull();
  expect(document.activeElement).toBe(word('Shaky'));
});

test('figures in a remark are words, no verdicts', async () => {
  render(<Row first={shaky} />);
  word('Shaky').focus();
  await user.keyboard('r');
  await user.keyboard('14 metres');
  expect(given).not.toHaveBeenCalled();
});

test('a remark that was refused stands in its field again', async () => {
  given.mockReturnValue(false);
  render(<Row first={shaky} />);
  word('Shaky').focus();
  await user.keyboard('r');
  await user.keyboard('Worth keeping{Enter}');
  expect(remark()?.value).toBe('Worth keeping');
});

test('Enter that ends a composed word keeps nothing yet; Escape leaves the remark as it was', async () => {
  render(<Row first={{ ...shaky, remark: 'Old' }} />);
  word('Shaky').focus();
  await user.keyboard('r');
  fireEvent.change(remark()!, { target: { value: 'はし' } });
  fireEvent.keyDown(remark()!, { key: 'Enter', isComposing: true });
  expect(given).not.toHaveBeenCalled();
  fireEvent.keyDown(remark()!, { key: 'Escape' });
  expect(remark()).toBeNull();
  expect(screen.getByText('Old')).toBeTruthy();
});

test('arrows go from sentence to sentence and give nothing', async () => {
  render(<Row />);
  word('Sound').focus();
  await user.keyboard('{ArrowDown}{ArrowUp}');
  expect(stepped.mock.calls).toEqual([[1], [-1]]);
  expect(given).not.toHaveBeenCalled();
});

test('a chord with Alt or Ctrl is not a verdict', async () => {
  render(<Row />);
  word('Sound').focus();
  await user.keyboard('{Alt>}1{/Alt}{Control>}2{/Control}');
  expect(given).not.toHaveBeenCalled();
});

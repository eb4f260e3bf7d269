/** @jest-environment jsdom */
import { expect, jest, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { render } from '../testing/signed-in';
import { CommittedFigure, CommittedInput, CommittedLines } from './committed';
import { readDraft } from './drafts';

const user = userEvent.setup();
const field = () => screen.getByRole<HTMLInputElement>('textbox');

interface Line {
  taken: string[];
  refuse?: (typed: string) => string | null;
  draft?: string;
}

/** A field as a page has it: what is committed stands outside. */
function OneLine({ taken, refuse = () => null, ...rest }: Line) {
  const [value, setValue] = useState('old');
  return (
    <>
      <CommittedInput
        {...rest}
        value={value}
        onCommit={(typed) => {
          const why = refuse(typed);
          if (why) return why;
          taken.push(typed);
          setValue(typed);
        }}
      />
      <button type="button" onClick={() => setValue('from outside')}>
        Elsewhere
      </button>
    </>
  );
}

test('what is typed is taken once, when the field is left', async () => {
  const taken: string[] = [];
  render(<OneLine taken={taken} />);
  await user.clear(field());
  await user.type(field(), 'new');
  expect(taken).toEqual([]);
  await user.tab();
  expect(taken).toEqual(['new']);
});

test('Enter takes it, and leaving the field after that does not take it again', async () => {
  const taken: string[] = [];
  render(<OneLine taken={taken} />);
  await user.type(field(), 'er{Enter}');
  await user.tab();
  expect(taken).toEqual(['older']);
});

test('Enter that ends a composed word is not the field’s', () => {
  const taken: string[] = [];
  render(<OneLine taken={taken} />);
  fireEvent.change(field(), { target: { value: 'はし' } });
  fireEvent.keyDown(field(), { key: 'Enter', isComposing: true });
  expect(taken).toEqual([]);
  fireEvent.keyDown(field(), { key: 'Enter' });
  expect(taken).toEqual(['はし']);
});

test('who passes through by Tab changes nothing, also where it became another meanwhile', async () => {
  const taken: string[] = [];
  render(<OneLine taken={taken} />);
  await user.click(field());
  fireEvent.click(screen.getByRole('button'));
  expect(field().value).toBe('from outside');
  await user.tab();
  expect(taken).toEqual([]);
});

test('what is typed stays while something else changes outside, as long as one is in the field', async () => {
  const taken: string[] = [];
  render(<OneLine taken={taken} />);
  await user.type(field(), ' words');
  fireEvent.click(screen.getByRole('button'));
  expect(field().value).toBe('old words');
  await user.tab();
  expect(taken).toEqual(['old words']);
});

test('Escape gives back what was there, and a second one is the page’s', async () => {
  const [taken, escaped]: [string[], jest.Mock] = [[], jest.fn()];
  render(
    <div onKeyDown={escaped}>
      <OneLine taken={taken} />
    </div>,
  );
  await user.type(field(), ' words');
  escaped.mockClear();
  await user.keyboard('{Escape}');
  expect([field().value, escaped.mock.calls.length]).toEqual(['old', 0]);
  await user.keyboard('{Escape}');
  expect(escaped).toHaveBeenCalledTimes(1);
  await user.tab();
  expect(taken).toEqual([]);
});

test('what is not taken stays to be mended, and says why', async () => {
  const taken: string[] = [];
  render(<OneLine taken={taken} refuse={(typed) => (typed === '' ? 'A kind needs a name.' : null)} />);
  await user.clear(field());
  await user.tab();
  expect(screen.getByRole('alert').textContent).toBe('A kind needs a name.');
  expect([field().value, field().getAttribute('aria-invalid')]).toEqual(['', 'true']);
  await user.type(field(), 'Force');
  expect(screen.queryByRole('alert')).toBeNull();
  await user.tab();
  expect(taken).toEqual(['Force']);
});

test('a field that goes away while one types loses nothing', async () => {
  const taken: string[] = [];
  const { unmount } = render(<OneLine taken={taken} />);
  await user.type(field(), ' words');
  unmount();
  expect(taken).toEqual(['old words']);
});

test('with a name its words outlive a reload, until they are taken', async () => {
  const taken: string[] = [];
  const { unmount } = render(<OneLine taken={[]} draft="title" refuse={() => 'Not now.'} />);
  await user.type(field(), ' words');
  unmount();
  expect(readDraft('maren', 'title')).toBe('old words');
  render(<OneLine taken={taken} draft="title" />);
  expect(field().value).toBe('old words');
  await user.type(field(), '{Enter}');
  expect([taken, readDraft('maren', 'title')]).toEqual([['old words'], null]);
});

test('in several lines Enter is a line and Escape loses none', async () => {
  const taken: string[] = [];
  render(<CommittedLines value="" onCommit={(typed) => void taken.push(typed)} />);
  await user.type(field(), 'One{Enter}two{Escape}');
  expect(field().value).toBe('One\ntwo');
  await user.tab();
  expect(taken).toEqual(['One\ntwo']);
});

function Points({ taken }: { taken: (number | undefined)[] }) {
  const [value, setValue] = useState<number | undefined>(5);
  return (
    <CommittedFigure
      value={value}
      limits={{ least: 0, most: 100 }}
      onCommit={(figure) => {
        taken.push(figure);
        setValue(figure);
      }}
    />
  );
}
const figure = () => screen.getByRole<HTMLInputElement>('spinbutton');

test('every digit of a figure is taken, and the field keeps its focus', async () => {
  const taken: (number | undefined)[] = [];
  render(<Points taken={taken} />);
  await user.clear(figure());
  await user.type(figure(), '25');
  expect(taken.slice(-2)).toEqual([2, 25]);
  expect(document.activeElement).toBe(figure());
});

test('a figure that is too large is not taken: what was there holds, and why is said when the field is left', async () => {
  const taken: (number | undefined)[] = [];
  render(<Points taken={taken} />);
  await user.clear(figure());
  await user.type(figure(), '5000');
  expect(taken.at(-1)).toBe(5);
  await user.tab();
  expect(screen.getByRole('alert').textContent).toMatch(/100/);
  expect(figure().value).toBe('5000');
});

test('Escape takes a figure back that was taken on the way', async () => {
  const taken: (number | undefined)[] = [];
  render(<Points taken={taken} />);
  await user.type(figure(), '5{Escape}');
  expect([taken.at(-1), figure().value]).toEqual([5, '5']);
});

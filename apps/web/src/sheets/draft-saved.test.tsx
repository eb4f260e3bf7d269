/** @jest-environment jsdom */
import { emptySheet, SHEET_PARTS } from '@ichnograph/core';
import type { SheetDetail } from '@ichnograph/contract';
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { act, screen, within } from '@testing-library/react';
import { createStore } from 'zustand/vanilla';
import { answered, serve } from '../testing/serve';
import { render } from '../testing/signed-in';
import { DraftSaved, NotSaved } from './draft-saved';
import { createSheetStore } from './sheet-store';
import { SheetProvider } from './use-sheet';
import type { OpenSheet } from './use-sheet';

const PUT = (part: string): string => `PUT assignments/s/sheet/${part}`;
const body = emptySheet();
const detail = {
  id: 's',
  parts: Object.fromEntries(SHEET_PARTS.map((part) => [part, { version: 1, body: body[part] }])),
} as unknown as SheetDetail;

/** A sheet whose two maps are safe. */
function openSheet(): OpenSheet {
  const live = () => ({ store: createStore(() => ({ state: 'saved' })) });
  return {
    detail,
    writing: createSheetStore(detail, 'maren'),
    starter: live(),
    reference: live(),
  } as unknown as OpenSheet;
}

beforeEach(() => void jest.useFakeTimers());
afterEach(() => {
  jest.useRealTimers();
  localStorage.clear();
});
const rest = (): Promise<void> => act(() => jest.advanceTimersByTimeAsync(700));

function show(): OpenSheet {
  const open = openSheet();
  render(
    <SheetProvider value={open}>
      <DraftSaved open={open} others={[]} />
      <NotSaved />
    </SheetProvider>,
  );
  return open;
}
const state = (): string | null => screen.getByTestId('save-state').textContent;
const entitle = ({ writing }: OpenSheet, title: string): void =>
  act(() => writing.change('task', (task) => ({ ...task, title })));

test('what is typed is being saved, then saved, and nothing stands over the sheet', async () => {
  serve({ [PUT('task')]: answered({ version: 2 }) });
  const open = show();
  expect(state()).toBe('Saved');
  entitle(open, 'Towers');
  expect(state()).toBe('Saving …');
  await rest();
  expect(state()).toBe('Saved');
  expect(screen.queryByRole('alert')).toBeNull();
});

test('each part that is not saved says its own reason under its name', async () => {
  serve({
    [PUT('task')]: answered({ detail: 'The title is too long.' }, 422),
    [PUT('criteria')]: answered({ detail: 'A criterion needs a name.' }, 422),
  });
  const open = show();
  entitle(open, 'Towers');
  act(() => open.writing.change('criteria', { criteria: [] }));
  await rest();
  expect(state()).toBe('Not saved');
  expect(
    within(screen.getByRole('alert'))
      .getAllByRole('listitem')
      .map(({ textContent }) => textContent),
  ).toEqual(['Task: The title is too long.', 'Criteria: A criterion needs a name.']);
});

test('a part that somebody else saved is settled by itself', async () => {
  serve({
    [PUT('task')]: [answered({ detail: 'Tobias changed this part meanwhile.' }, 409), answered({ version: 4 })],
    'GET assignments/s/sheet': answered({
      ...detail,
      parts: { ...detail.parts, task: { version: 3, body: { ...body.task, title: 'His' } } },
    }),
  });
  const open = show();
  entitle(open, 'Mine');
  await rest();
  const notice = within(screen.getByRole('alert'));
  expect(notice.getByText('Task: Tobias changed this part meanwhile.')).toBeTruthy();
  await act(async () => {
    notice.getByRole('button', { name: 'Save mine over it' }).click();
    await jest.advanceTimersByTimeAsync(700);
  });
  expect([state(), screen.queryByRole('alert')]).toEqual(['Saved', null]);
  expect(open.writing.store.getState().sheet.task.title).toBe('Mine');
});

test('without a connection it is kept here, and says so', async () => {
  serve({});
  const open = show();
  entitle(open, 'Kept');
  await rest();
  expect(state()).toBe('Offline, kept here');
  expect(localStorage.length).toBe(1);
});

/** @jest-environment jsdom */
import { afterEach, expect, jest, test } from '@jest/globals';
import { act } from '@testing-library/react';
import { renderHook } from '../testing/signed-in';
import { hasDrafts, readDraft, useDraft, useWords, writeDraft } from './drafts';
import { readHere, writeHere } from './kept-here';

afterEach(() => localStorage.clear());

test('a draft is there again after a reload, for the one whose it is', () => {
  const first = renderHook(() => useDraft<{ text: string }>('comment'));
  act(() => first.current[1]({ text: 'Begun' }));
  expect(renderHook(() => useDraft('comment')).current[0]).toEqual({ text: 'Begun' });
  expect([hasDrafts('maren'), hasDrafts('tobias')]).toEqual([true, false]);
  act(() => first.current[1](null));
  expect(renderHook(() => useDraft('comment')).current[0]).toBeNull();
  expect(hasDrafts('maren')).toBe(false);
});

test('words are kept as they are typed, and an empty field is no draft', () => {
  const words = renderHook(() => useWords('answer to k'));
  act(() => words.current.setText('Tha'));
  expect(readDraft('maren', 'answer to k')).toBe('Tha');
  act(() => words.current.setText(''));
  expect([readDraft('maren', 'answer to k'), words.current.text]).toEqual([null, '']);
});

test('words that are sent leave the field, and stand before what was typed since when they come back', () => {
  const words = renderHook(() => useWords('answer to k'));
  act(() => words.current.setText('First.'));
  let giveBack = (): void => undefined;
  act(() => void (giveBack = words.current.takes()));
  expect(words.current.text).toBe('');
  act(() => words.current.setText('Second.'));
  act(() => giveBack());
  expect(words.current.text).toBe('First.\nSecond.');
  expect(readDraft('maren', 'answer to k')).toBe('First.\nSecond.');
});

test('words given back to an empty field stand as they were', () => {
  const words = renderHook(() => useWords());
  act(() => words.current.setText('Only.'));
  let giveBack = (): void => undefined;
  act(() => void (giveBack = words.current.takes()));
  act(() => giveBack());
  expect(words.current.text).toBe('Only.');
  // Without a name nothing stays.
  expect(localStorage.length).toBe(0);
});

test('what this browser kept and was spoiled is nothing, not a fault', () => {
  localStorage.setItem('ichnograph:maren:draft:x', '{"half');
  expect(readDraft('maren', 'x')).toBeNull();
});

test('a browser that keeps nothing lets one type all the same', () => {
  const refuse = (): never => {
    throw new DOMException('The operation is insecure.', 'SecurityError');
  };
  const spies = (['getItem', 'setItem', 'removeItem'] as const).map((name) =>
    jest.spyOn(Storage.prototype, name).mockImplementation(refuse),
  );
  const words = renderHook(() => useWords('answer to k'));
  act(() => words.current.setText('Typed'));
  expect([words.current.text, readHere('x'), hasDrafts('maren')]).toEqual(['Typed', null, false]);
  expect(() => writeHere('x', 1)).not.toThrow();
  expect(() => writeDraft('maren', 'x', null)).not.toThrow();
  for (const spy of spies) spy.mockRestore();
});

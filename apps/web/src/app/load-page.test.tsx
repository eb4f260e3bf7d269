/** @jest-environment jsdom */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { ToldLast } from '../common/told-last';
import { render } from '../testing/signed-in';
import { loadPage } from './load-page';

beforeEach(() => {
  jest.useFakeTimers();
  jest.spyOn(console, 'warn').mockImplementation(() => undefined);
});
afterEach(() => void jest.useRealTimers());

test('a page whose code does not come at first is said to be late, and comes', async () => {
  render(<ToldLast />);
  const load = jest.fn<() => Promise<string>>().mockRejectedValueOnce(new TypeError('no network'));
  load.mockResolvedValue('the page');
  const page = loadPage(load);
  await jest.advanceTimersByTimeAsync(0);
  expect(screen.getByText(/The page does not come/)).toBeTruthy();
  await jest.advanceTimersByTimeAsync(3000);
  await expect(page).resolves.toBe('the page');
  expect(load).toHaveBeenCalledTimes(2);
});

test('what never comes is given up with a sentence', async () => {
  const load = jest.fn<() => Promise<string>>().mockRejectedValue(new TypeError('404'));
  const page = expect(loadPage(load)).rejects.toThrow('This page could not be loaded.');
  await jest.advanceTimersByTimeAsync(60_000);
  await page;
  expect(load).toHaveBeenCalledTimes(10);
});

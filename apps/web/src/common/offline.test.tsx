/** @jest-environment jsdom */
import { afterEach, expect, test } from '@jest/globals';
import { onlineManager } from '@tanstack/react-query';
import { waitFor } from '@testing-library/react';
import { serve } from '../testing/serve';
import { renderHook } from '../testing/signed-in';
import { useStudentTasks } from './queries';

afterEach(() => onlineManager.setOnline(true));

test('without a network a page asks all the same, so that it fails and can say so', async () => {
  onlineManager.setOnline(false);
  const { asked } = serve({});
  const hook = renderHook(() => useStudentTasks());
  await waitFor(() => expect(asked('GET today/student').length).toBeGreaterThan(0));
  expect(hook.current.fetchStatus).not.toBe('paused');
});

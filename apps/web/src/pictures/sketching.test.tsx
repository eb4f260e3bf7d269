/** @jest-environment jsdom */
import { beforeEach, expect, jest, test } from '@jest/globals';
import { act, fireEvent, screen } from '@testing-library/react';
import { render, renderHook } from '../testing/signed-in';
import { SketchSheet } from './sketch-sheet';
import { SHEET, useSketch } from './use-sketch';

const line = (y: number) => ({ colour: '#000000', size: 3, points: [0, y, 0.5, 100, y, 0.5] });
beforeEach(() => {
  localStorage.clear();
  Element.prototype.setPointerCapture = () => undefined;
});

test('what one rub takes away until the hand is lifted comes back by one undo', () => {
  const hook = renderHook(() => useSketch('test', null));
  for (const y of [50, 100, 150, 200]) act(() => hook.current.draw(line(y)));
  act(() => hook.current.rub({ x: 50, y: 350 }, 8, true));
  for (const y of [50, 100, 150]) act(() => hook.current.rub({ x: 50, y }, 8, false));
  expect(hook.current.sketch.strokes).toHaveLength(1);
  act(() => hook.current.undo!());
  expect(hook.current.sketch.strokes).toHaveLength(4);
  act(() => hook.current.redo!());
  // The hand comes down anew: a step of its own.
  act(() => hook.current.rub({ x: 50, y: 200 }, 8, true));
  expect(hook.current.sketch.strokes).toHaveLength(0);
  act(() => hook.current.undo!());
  expect(hook.current.sketch.strokes).toHaveLength(1);
});

test('a palm beside a pen draws nothing and ends no stroke; a pen takes over from a palm', () => {
  const drawn = jest.fn();
  render(
    <SketchSheet
      sketch={{ ...SHEET, strokes: [] }}
      pen={{ colour: '#000000', size: 3, rubs: false }}
      onDraw={drawn}
      onRub={() => undefined}
    />,
  );
  const sheet = screen.getByTestId('sheet');
  sheet.getBoundingClientRect = () => ({ left: 0, top: 0, width: 640, height: 400 }) as DOMRect;
  const to = (type: 'pointerDown' | 'pointerMove' | 'pointerUp' | 'pointerCancel', pointerId: number, x: number) => {
    const event = new MouseEvent(type.toLowerCase(), { bubbles: true, button: 0, clientX: x, clientY: 10 });
    fireEvent(
      sheet,
      Object.assign(event, { pointerId, pointerType: pointerId === 1 ? 'pen' : 'touch', pressure: 0.5 }),
    );
  };
  to('pointerDown', 1, 10);
  to('pointerDown', 7, 300);
  to('pointerMove', 7, 310);
  to('pointerMove', 1, 20);
  to('pointerCancel', 7, 310);
  to('pointerMove', 1, 30);
  to('pointerUp', 1, 30);
  expect(drawn.mock.calls).toMatchObject([[{ points: [10, 10, 0.5, 20, 10, 0.5, 30, 10, 0.5] }]]);
  to('pointerDown', 7, 300);
  to('pointerMove', 7, 310);
  to('pointerDown', 1, 10);
  to('pointerMove', 1, 20);
  to('pointerUp', 1, 20);
  expect(drawn.mock.calls[1]).toMatchObject([{ points: [10, 10, 0.5, 20, 10, 0.5] }]);
});

// @vitest-environment happy-dom
/** The art under a finger: dragged, and left where it was once the drawing is pinched. */
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ArtHandle } from './SheetParts';

afterEach(cleanup);

function art() {
  const [onShift, onDone] = [vi.fn(), vi.fn()];
  render(
    <ArtHandle
      box={{ leftMm: -50, topMm: 80, widthMm: 100, heightMm: 60 }}
      round={false}
      sheet={{ leftMm: -200, topMm: 0, px: 2, width: 200, height: 300 } as never}
      artName="comet"
      stepMm={1}
      words="2 in down"
      onShift={onShift}
      onDone={onDone}
    />,
  );
  const handle = screen.getByText('comet');
  handle.setPointerCapture = vi.fn();
  const moved = () => onShift.mock.calls.reduce(([x, y], [{ xMm, yMm }]) => [(x ?? 0) + xMm, (y ?? 0) + yMm], [0, 0]);
  return { handle, moved, onDone };
}

describe('the art on the placement sheet', () => {
  it('follows the finger, and is kept as it is let go', () => {
    const { handle, moved, onDone } = art();
    fireEvent.pointerDown(handle, { pointerId: 1, clientX: 10, clientY: 10 });
    fireEvent.pointerMove(handle, { pointerId: 1, clientX: 25, clientY: 4 });
    fireEvent.pointerUp(handle, { pointerId: 1 });
    expect(moved()).toEqual([30, -12]);
    expect(onDone).toHaveBeenCalledOnce();
  });

  it('is back where it was once the drawing is pinched', () => {
    const { handle, moved, onDone } = art();
    fireEvent.pointerDown(handle, { pointerId: 1, clientX: 10, clientY: 10 });
    fireEvent.pointerMove(handle, { pointerId: 1, clientX: 25, clientY: 4 });
    fireEvent.pointerMove(handle, { pointerId: 1, clientX: 31, clientY: 9 });
    fireEvent.pointerCancel(handle, { pointerId: 1 });
    fireEvent.pointerMove(handle, { pointerId: 1, clientX: 90, clientY: 90 });
    expect(moved()).toEqual([0, 0]);
    expect(onDone).not.toHaveBeenCalled();
  });
});

'use client';
import { useRef } from 'react';
import { beginGesture, endGesture } from '@/store/site/siteStore';
import { say } from '../shell/toastStore';
import { useWorkspace } from '../shell/WorkspaceContext';

/**
 * A drag as one step of undo. What the hand holds is told how far it has come from where it was taken up; while it moves, only
 * the light of its tier is worked out.
 *
 * @param begin  what is taken up, or null when it is not to be moved; the rest is told to it
 */
export function useDrag<Held>(
  what: string,
  begin: (e: React.PointerEvent<HTMLElement>) => Held | null,
  move: (held: Held, dx: number, dy: number, e: React.PointerEvent<HTMLElement>) => void,
) {
  const { sites, benchLooks } = useWorkspace();
  const grip = useRef<{ x: number; y: number; held: Held; moving: boolean } | null>(null);
  return {
    onPointerDown: (e: React.PointerEvent<HTMLElement>) => {
      if (e.button !== 0) return;
      const held = begin(e);
      if (held === null) return;
      e.currentTarget.setPointerCapture(e.pointerId);
      grip.current = { x: e.clientX, y: e.clientY, held, moving: false };
    },
    onPointerMove: (e: React.PointerEvent<HTMLElement>) => {
      const g = grip.current;
      if (!g || !e.currentTarget.hasPointerCapture(e.pointerId)) return;
      const [dx, dy] = [e.clientX - g.x, e.clientY - g.y];
      // A press that trembles is no drag.
      if (!g.moving && Math.hypot(dx, dy) < 3) return;
      if (!g.moving) {
        if (benchLooks.getState().day !== null) {
          grip.current = null;
          return say('You are viewing a future day. Go back to today to make changes.');
        }
        g.moving = true;
        beginGesture(sites, what);
      }
      move(g.held, dx, dy, e);
    },
    onLostPointerCapture: () => {
      const moved = grip.current?.moving;
      grip.current = null;
      if (!moved) return;
      endGesture(sites);
      benchLooks.setState({ handOn: null, moved: null });
    },
  };
}

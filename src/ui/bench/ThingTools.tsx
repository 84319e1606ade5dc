'use client';
import { Copy, RotateCw, Trash2 } from 'lucide-react';
import { Button } from '../parts/Button';
import type { Hands } from './useHands';

/** Turn, duplicate, take away: what can be done with anything on the bench. */
export function ThingTools({ hands }: { hands: Hands }) {
  return (
    <div className="flex shrink-0">
      <Button kind="quiet" className="px-2!" aria-label="Turn by a quarter" title="Turn by a quarter (R)" onClick={hands.turn}>
        <RotateCw size={17} aria-hidden />
      </Button>
      <Button kind="quiet" className="px-2!" aria-label="Duplicate" title="Duplicate (Ctrl D)" onClick={hands.duplicate}>
        <Copy size={17} aria-hidden />
      </Button>
      <Button kind="quiet" className="px-2!" aria-label="Delete" title="Delete (Delete)" onClick={hands.remove}>
        <Trash2 size={17} aria-hidden />
      </Button>
    </div>
  );
}

'use client';
import { Copy, RotateCw, Trash2 } from 'lucide-react';
import { Button } from '../parts/Button';
import type { EditCommands } from './useEditCommands';

/** Turn, duplicate, take away: what can be done with anything on the bench. */
export function ThingTools({ commands }: { commands: EditCommands }) {
  return (
    <div className="flex shrink-0">
      <Button kind="quiet" size="icon" aria-label="Turn by a quarter" title="Turn by a quarter (R)" onClick={commands.turn}>
        <RotateCw size={17} aria-hidden />
      </Button>
      <Button kind="quiet" size="icon" aria-label="Duplicate" title="Duplicate (Ctrl D)" onClick={commands.duplicate}>
        <Copy size={17} aria-hidden />
      </Button>
      <Button kind="quiet" size="icon" aria-label="Delete" title="Delete (Delete)" onClick={commands.remove}>
        <Trash2 size={17} aria-hidden />
      </Button>
    </div>
  );
}

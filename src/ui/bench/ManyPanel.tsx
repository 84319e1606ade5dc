'use client';
import {
  AlignCenterHorizontal,
  AlignCenterVertical,
  AlignHorizontalDistributeCenter,
  AlignVerticalDistributeCenter,
  Copy,
  RotateCw,
  Trash2,
} from 'lucide-react';
import type { BenchTier } from '@/core/answer/stand/benchStand';
import { align, distribute, type Axis, type Change } from '@/core/site/stand/change';
import { Button } from '../parts/Button';
import type { EditCommands } from './useEditCommands';

/** Several things at once: bring them into line, spread them, turn, copy, take away. */
export function ManyPanel({ tiers, ids, commands }: { tiers: readonly BenchTier[]; ids: readonly string[]; commands: EditCommands }) {
  const each =
    (by: (tierId: string) => Change): Change =>
    (site) =>
      tiers.reduce((s, t) => by(t.tier.id)(s), site);
  const line = (axis: Axis) =>
    commands.change(
      'Align',
      each((tierId) => align(tierId, ids, axis)),
    );
  const spread = (axis: Axis) =>
    commands.change(
      'spread evenly',
      each((tierId) => distribute(tierId, ids, axis)),
    );
  return (
    <section aria-label="The chosen things" className="space-y-2 border-b border-line pb-4">
      <h2 className="text-lg font-semibold">{ids.length} things chosen</h2>
      <div className="grid grid-cols-2 gap-2">
        <Button onClick={() => spread('x')}>
          <AlignHorizontalDistributeCenter size={17} aria-hidden /> Spread along
        </Button>
        <Button onClick={() => spread('y')}>
          <AlignVerticalDistributeCenter size={17} aria-hidden /> Distribute front to back
        </Button>
        <Button onClick={() => line('x')}>
          <AlignCenterVertical size={17} aria-hidden /> Align vertically
        </Button>
        <Button onClick={() => line('y')}>
          <AlignCenterHorizontal size={17} aria-hidden /> In one row
        </Button>
        <Button onClick={commands.turn}>
          <RotateCw size={17} aria-hidden /> Turn
        </Button>
        <Button onClick={commands.duplicate}>
          <Copy size={17} aria-hidden /> Duplicate
        </Button>
        <Button onClick={commands.remove}>
          <Trash2 size={17} aria-hidden /> Delete
        </Button>
      </div>
    </section>
  );
}

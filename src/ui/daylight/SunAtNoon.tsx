'use client';
import { Compass } from 'lucide-react';
import { useState } from 'react';
import { noonFacing } from '@/core/sky/place/facing';
import { Button } from '../parts/Button';
import { SelectField } from '../parts/SelectField';
import { useSite } from '../shell/WorkspaceContext';

/** Where the sun stands at noon, seen through the window: how far it is from straight out. */
const AT_NOON = [
  { value: '', label: 'no idea' },
  { value: '0', label: 'straight in front' },
  { value: '45', label: 'half way to the right' },
  { value: '90', label: 'along the wall, on the right' },
  { value: '-45', label: 'half way to the left' },
  { value: '-90', label: 'along the wall, on the left' },
  { value: '180', label: 'behind the house' },
] as const;

/** Two ways to find a facing without a map: by the sun at noon, and by the compass of a phone. */
export function SunAtNoon({ onFacing }: { onFacing(facing: number): void }) {
  const noon = (noonFacing(useSite((s) => s.site.place?.latitude ?? null)) * 180) / Math.PI;
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <div className="flex flex-wrap items-end gap-3">
      <SelectField
        label="at noon the sun stands"
        value=""
        options={AT_NOON}
        onChange={(v) => v !== '' && onFacing((((noon - Number(v) + 360) % 360) * Math.PI) / 180)}
      />
      <Button
        onClick={() => {
          setProblem(null);
          askCompass().then(
            (degrees) => onFacing((degrees * Math.PI) / 180),
            () => setProblem('This device has no compass to ask. Type the direction instead.'),
          );
        }}
      >
        <Compass size={17} aria-hidden /> Phone’s compass
      </Button>
      {problem && (
        <p role="alert" className="w-full text-copper">
          {problem}
        </p>
      )}
    </div>
  );
}

type Oriented = DeviceOrientationEvent & { readonly webkitCompassHeading?: number };
const PATIENCE_ms = 3000;

/** Degrees from north of the upper edge of the device; rejects where there is no compass. */
async function askCompass(): Promise<number> {
  const asking = (globalThis.DeviceOrientationEvent as { requestPermission?: () => Promise<string> } | undefined)?.requestPermission;
  if (asking && (await asking()) !== 'granted') throw new Error('refused');
  return new Promise((resolve, reject) => {
    const names = ['deviceorientationabsolute', 'deviceorientation'] as const;
    const stop = () => {
      clearTimeout(timer);
      names.forEach((n) => globalThis.removeEventListener(n, heard as EventListener));
    };
    const heard = (e: Oriented) => {
      const degrees = e.webkitCompassHeading ?? (e.absolute && e.alpha !== null ? (360 - e.alpha) % 360 : null);
      if (degrees === null) return;
      stop();
      resolve(degrees);
    };
    const timer = setTimeout(() => {
      stop();
      reject(new Error('no compass'));
    }, PATIENCE_ms);
    names.forEach((n) => globalThis.addEventListener(n, heard as EventListener));
  });
}

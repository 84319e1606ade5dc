'use client';
import clsx from 'clsx';
import { useState } from 'react';
import { logIt } from '@/core/site/growth/changeGrowth';
import { LEAF_SIGNS, type LeafSign } from '@/core/site/stand/Logged';
import type { changeSite } from '@/store/site/siteStore';
import { Button } from '../parts/Button';
import { loggedNow } from '../season/loggedNow';
import { PLACE_WORDS, LEAF_SIGN_WORDS } from './leafSignWords';

interface LeafSignsProps {
  batchId: string;
  on: number;
  write(words: string, change: Parameters<typeof changeSite>[2]): void;
}

/** What leaves show, and where in the tray: written down with two presses, and known to the clinic. */
export function LeafSigns({ batchId, on, write }: LeafSignsProps) {
  const [place, setPlace] = useState<number | null>(null);
  const put = (sign: LeafSign) => {
    const where = place === null ? '' : `, ${PLACE_WORDS[place]}`;
    write(
      `${LEAF_SIGN_WORDS[sign]}${where}`,
      logIt(batchId, { ...loggedNow(on), what: 'trouble', height: null, stage: null, sign, ...(place === null ? {} : { place }) }),
    );
  };
  return (
    <details>
      <summary className="min-h-9 cursor-pointer font-semibold max-md:min-h-11">Leaves look wrong</summary>
      <div className="flex flex-wrap gap-4 pt-2">
        <div role="group" aria-label="Where in the tray, seen from above" className="space-y-1">
          <div className="grid w-36 grid-cols-3 gap-0.5 rounded-md border border-edge bg-night p-1">
            {PLACE_WORDS.map((words, i) => (
              <button
                key={words}
                type="button"
                aria-label={words}
                aria-pressed={place === i}
                className={clsx('size-11 rounded-sm', place === i ? 'bg-ember' : 'bg-[#2a3533] hover:bg-[#3d4a47]')}
                onClick={() => setPlace(place === i ? null : i)}
              />
            ))}
          </div>
          <p className="text-center text-sm text-soft">{place === null ? 'all of the tray' : PLACE_WORDS[place]}</p>
        </div>
        <div className="grid min-w-40 flex-1 content-start gap-2">
          {LEAF_SIGNS.map((sign) => (
            <Button key={sign} className="min-h-11!" onClick={() => put(sign)}>
              {LEAF_SIGN_WORDS[sign]}
            </Button>
          ))}
        </div>
      </div>
    </details>
  );
}

import { useMemo } from 'react';
import { isRound } from '@/core/things/lamp/isRound';
import { colourOf, curveOf } from '@/core/things/lamp/colourOf';
import { emittersOf } from '@/core/things/lamp/emittersOf';
import type { Lamp } from '@/core/things/lamp/Lamp';
import { farFieldOf } from '@/core/light/photometry/farFieldOf';
import { writeIes } from '@/core/light/photometry/writeIes';
import { figuresOf } from '@/core/light/spectrum/figures';
import { FileDown } from 'lucide-react';
import { Button } from '../parts/Button';
import { fileName, saveFile } from '../parts/saveFile';
import { PolarPlot } from './PolarPlot';
import { SpectrumChart } from './SpectrumChart';

/** What a lamp's light is like: how it spreads, what colours it holds, what that is worth; and as an open file. */
export function LampPortrait({ lamp }: { lamp: Lamp }) {
  const { table, figures, curve, colour } = useMemo(() => {
    const found = curveOf(lamp);
    return {
      table: farFieldOf(emittersOf(lamp, { x: 0, y: 0, face: 0, turn: 0 }), 2, 15),
      curve: found,
      figures: figuresOf(found.spectrum),
      colour: colourOf(lamp),
    };
  }, [lamp]);
  function save() {
    const fine = farFieldOf(emittersOf(lamp, { x: 0, y: 0, face: 0, turn: 0 }));
    const round = isRound(lamp);
    const { name, power, length, width } = lamp;
    const text = writeIes({ name, power, length: round ? width : length, width, round, lumens: lamp.ppf * colour.luxPerUmol, table: fine });
    saveFile(fileName(name, 'ies'), text, 'text/plain');
  }
  return (
    <div className="grid gap-6 md:grid-cols-[auto_1fr]">
      <div className="space-y-2">
        <h3 className="font-semibold">Light distribution</h3>
        <PolarPlot table={lamp.farField?.table ?? table} />
        <Button onClick={save}>
          <FileDown size={17} aria-hidden /> Save as IES
        </Button>
      </div>
      <div className="min-w-0 space-y-3">
        <h3 className="flex items-center gap-2 font-semibold">
          Its colour
          <span
            className="inline-block size-4 rounded-full border border-line"
            style={{ background: `rgb(${figures.colour.join(' ')})` }}
            title="The lamp on a screen"
          />
          <span className="font-normal text-soft">{colour.name}</span>
        </h3>
        <SpectrumChart spectrum={curve.spectrum} figures={figures} />
        <dl className="grid grid-cols-[auto_1fr] gap-x-4 text-sm [&_dt]:text-soft">
          <dt>lux for each µmol/m²/s</dt>
          <dd>
            {colour.luxPerUmol} ({Math.round(colour.luxPerUmolLow)}–{Math.round(colour.luxPerUmolHigh)}); this curve{' '}
            {figures.luxPerUmol.toFixed(1)}
          </dd>
          <dt>foot-candles for each</dt>
          <dd>{figures.footCandlesPerUmol.toFixed(2)}</dd>
          <dt>µmol for each joule of light</dt>
          <dd>{figures.umolPerJoule.toFixed(2)}</dd>
          <dt>colour temperature</dt>
          <dd>{figures.cct === null ? 'No colour temperature: the light is not white' : `${Math.round(figures.cct / 10) * 10} K`}</dd>
        </dl>
        <p className="text-sm text-soft">The curve is {curve.made}.</p>
      </div>
    </div>
  );
}

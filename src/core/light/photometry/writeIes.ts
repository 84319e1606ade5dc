import type { Lumens, Metres, Watts } from '../../units/quantities';
import type { IntensityTable } from '../emitters/IntensityTable';

/** What is written of a lamp. */
export interface IesLamp {
  readonly name: string;
  readonly lumens: Lumens;
  readonly power: Watts;
  readonly length: Metres;
  readonly width: Metres;
  readonly round: boolean;
  readonly table: IntensityTable;
}

/** Lines are kept under 132 characters, as the standard asks. */
const PER_LINE = 10;

/**
 * Writes a lamp as IES LM-63-2002: absolute photometry, type C, metres, all planes from 0 to 360 degrees.
 *
 * Source: ANSI/IES LM-63-2002.
 */
export function writeIes({ name, lumens, power, length, width, round, table }: IesLamp): string {
  const deg = (a: number) => String(Math.round((a * 180e4) / Math.PI) / 1e4);
  const n = table.gamma.length;
  const single = table.c.length === 1;
  const rows = (values: readonly string[]) =>
    Array.from({ length: Math.ceil(values.length / PER_LINE) }, (_, i) => values.slice(i * PER_LINE, (i + 1) * PER_LINE).join(' '));
  const plane = (k: number) => table.perFlux.slice(k * n, (k + 1) * n).map((v) => String(Number((v * lumens).toPrecision(7))));
  const planes = [...table.c.keys(), ...(single ? [] : [0])];
  const size = (m: Metres) => (Math.round(m * 1e4) / 1e4) * (round ? -1 : 1);
  return [
    'IESNA:LM-63-2002',
    '[TEST] computed by Copper Noon from the shape of the lamp',
    `[LUMINAIRE] ${name.replace(/[\r\n[\]]+/g, ' ').slice(0, 100)}`,
    'TILT=NONE',
    `1 -1 1 ${n} ${planes.length} 1 2 ${size(width)} ${size(length)} 0`,
    `1 1 ${power}`,
    ...rows(table.gamma.map(deg)),
    ...rows([...table.c.map(deg), ...(single ? [] : ['360'])]),
    ...planes.flatMap((k) => rows(plane(k))),
    '',
  ].join('\r\n');
}

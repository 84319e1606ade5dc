import { Link } from '../parts/Link';
interface StandIn {
  readonly name: string;
  readonly standsFor: string;
  readonly does: string;
  readonly where: { readonly href: string; readonly label: string };
  readonly doors: readonly string[];
  readonly driver: readonly string[];
  readonly docs: string;
}

const STAND_INS: readonly StandIn[] = [
  {
    name: 'Meter',
    standsFor: 'A light meter that sends its display to the computer: lux, foot-candles or µmol/m²/s.',
    does: 'It is held into your tier as the plan describes it. It has its own response to colour, ranges, error for slanting light, a flickering display and a hand that is not quite still. The same seed shows the same.',
    where: { href: '/readings', label: 'Readings, “Start measuring” with a practice meter' },
    doors: ['POST /api/meter', 'GET /api/meter/{id}'],
    driver: ['kindId', 'sample(time)', 'setRange(range)', 'close()'],
    docs: 'docs/meter.md',
  },
  {
    name: 'Timer plug',
    standsFor: 'A timer plug that takes dated hours over the network.',
    does: 'It has a clock of its own, keeps a schedule, can run fast, and can lose its clock in a power failure: then its hours shift until somebody sets it.',
    where: { href: '/hours/outlets', label: 'Power of a stand, “A timer plug to practise with”' },
    doors: ['POST /api/plug', 'GET /api/plug/{id}', 'PATCH /api/plug/{id}'],
    driver: ['state()', 'setSchedule(entries)', 'setClock(day, minute)', 'close()'],
    docs: 'docs/plug.md',
  },
  {
    name: 'Sky',
    standsFor: 'An outdoor light sensor or a weather service.',
    does: 'A day’s weather by seed, streamed in steps of minutes: sun and cloud come and go as often as the climate of your place says.',
    where: { href: '/stands', label: 'Daylight of a stand that stands at a window' },
    doors: ['core/sky/outdoors/simulatedSky.ts'],
    driver: ['name', 'readings(from, to, every)'],
    docs: 'docs/daylight.md',
  },
];

const EXAMPLE = `async sample(at_ms) {
  await wire.send('READ');
  const line = await wire.receive(PATIENCE_MS);
  const said = /^VALUE (OVER|[0-9.]+) RANGE ([0-9.]+)( AUTO)?$/.exec(line);
  if (!said) throw new Error('that is no reading');
  …
}`;

/** Simulated devices: what each stands for, where to try it, and how a real one is connected. */
export function StandInsView() {
  return (
    <div className="mx-auto w-full max-w-3xl space-y-7 px-5 py-6">
      <header className="space-y-2">
        <h1 className="text-2xl font-semibold">Simulated devices</h1>
        <p className="max-w-prose text-soft">
          No device is needed to use Copper Noon. Where one would be connected, a simulated one stands in for it. It behaves as such devices
          do, with their faults. All else knows it by a few functions only, so a real one can take its place.
        </p>
      </header>
      {STAND_INS.map((s) => (
        <section key={s.name} className="space-y-2" aria-labelledby={`stand-in-${s.name}`}>
          <h2 id={`stand-in-${s.name}`} className="text-lg font-semibold">
            {s.name}
          </h2>
          <dl className="grid gap-x-4 gap-y-1 md:grid-cols-[9rem_1fr]">
            <dt className="text-soft">stands for</dt>
            <dd>{s.standsFor}</dd>
            <dt className="text-soft">what it does</dt>
            <dd>{s.does}</dd>
            <dt className="text-soft">try it</dt>
            <dd>
              <Link
                href={s.where.href}
                className="font-semibold underline underline-offset-4 max-md:inline-flex max-md:min-h-11 max-md:items-center"
              >
                {s.where.label}
              </Link>
            </dd>
            <dt className="text-soft">doors for scripts</dt>
            <dd className="break-words">
              {s.doors.join(', ')} ({s.docs})
            </dd>
            <dt className="text-soft">a driver needs</dt>
            <dd>{s.driver.join(', ')}</dd>
          </dl>
        </section>
      ))}
      <section className="space-y-2" aria-labelledby="real">
        <h2 id="real" className="text-lg font-semibold">
          How a real driver is written
        </h2>
        <p className="max-w-prose">
          The example is a meter that answers lines of text, over a serial port or a socket: <code>core/things/meter/lineMeter.ts</code>. It
          refuses what is no reading and a range that its kind does not have, so that no wrong number reaches the plan. Its test holds it
          against a double of the device that switches ranges, falls silent and talks nonsense.
        </p>
        <pre tabIndex={0} aria-label="Example of a driver" className="overflow-x-auto rounded-md bg-sunk p-3 text-sm">
          {EXAMPLE}
        </pre>
        <p className="max-w-prose text-soft">
          A plug that switches mains belongs behind a ready-made, approved device. Wiring one is work for a licensed electrician; follow
          your local code.
        </p>
      </section>
    </div>
  );
}

import type { MeterSample } from '../../core/things/meter/MeterDriver';
import type { SensorPlace } from '../../core/measure/reading/takeReading';
import type { MeterWorldFile } from './MeterWorldFile';

/** How a meter that streams is held. */
export interface Held extends SensorPlace {
  /** Top of the range, null: the meter chooses. */
  readonly range: number | null;
  readonly lampsOn: boolean;
}

export interface LiveMeter {
  /** Holds it elsewhere or otherwise; samples come from there. */
  hold(how: Held): void;
  stop(): void;
}

/**
 * Listens to the simulated meter of the server, held into a world. When the server has forgotten it (it was started anew),
 * it is put on the desk again.
 */
export function listenToMeter(
  world: MeterWorldFile,
  onSample: (sample: MeterSample) => void,
  onTrouble: (reason: string) => void,
): LiveMeter {
  let stream: EventSource | null = null;
  let id: string | null = null;
  let held: Held | null = null;
  let stopped = false;
  let tries = 0;

  async function put(): Promise<void> {
    const reply = await fetch('/api/meter', {
      method: 'POST',
      body: JSON.stringify(world),
      headers: { 'Content-Type': 'application/json' },
    });
    const said = (await reply.json()) as { ok: true; id: string } | { ok: false; problems: readonly { code: string; at: string }[] };
    if (!said.ok) throw new Error(said.problems.map((p) => `${p.at}: ${p.code}`).join(', '));
    id = said.id;
  }

  async function listen() {
    if (stopped || !held) return;
    try {
      if (id === null) await put();
    } catch (error) {
      onTrouble(error instanceof Error ? error.message : String(error));
      return;
    }
    if (stopped || !held) return;
    stream?.close();
    const { x, y, z, range, lampsOn } = held;
    const query = new URLSearchParams({ x: String(x), y: String(y), z: String(z), range: range === null ? 'auto' : String(range) });
    if (!lampsOn) query.set('lamps', 'off');
    const own = new EventSource(`/api/meter/${id}?${query}`);
    stream = own;
    own.onmessage = (e: MessageEvent<string>) => {
      tries = 0;
      if (stream === own) onSample(JSON.parse(e.data) as MeterSample);
    };
    own.onerror = () => {
      if (stream !== own) return;
      own.close();
      id = null;
      if (++tries > 3) onTrouble('it does not answer');
      else setTimeout(() => void listen(), 400 * tries);
    };
  }

  return {
    hold(how) {
      held = how;
      void listen();
    },
    stop() {
      stopped = true;
      stream?.close();
    },
  };
}

import type { PlugDriver, PlugEntry, PlugState } from '../../core/plan/plug/PlugDriver';
import { dayOf, isoOf } from '../../core/units/day';
import type { PlugOrderFile } from './PlugFiles';

/** A simulated plug on the server, reached from the page. Every call rejects when it is not there any more. */
export interface LivePlug extends PlugDriver {
  tell(order: PlugOrderFile): Promise<PlugState>;
}

interface Answer {
  readonly ok: boolean;
  readonly id?: string;
  readonly state?: Omit<PlugState, 'day' | 'schedule' | 'entry'> & {
    readonly day: string;
    readonly schedule: readonly (Omit<PlugEntry, 'from'> & { readonly from: string })[];
    readonly entry: (Omit<PlugEntry, 'from'> & { readonly from: string }) | null;
  };
}

const entryOf = <T extends { readonly from: string }>(e: T) => ({ ...e, from: dayOf(e.from) });

async function ask(url: string, method: string, body?: object): Promise<Answer> {
  const response = await fetch(url, {
    method,
    ...(body ? { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } } : {}),
  });
  const answer = (await response.json()) as Answer;
  if (!answer.ok) throw new Error(response.status === 404 ? 'the plug is not there any more' : `the plug answered ${response.status}`);
  return answer;
}

/** Plugs a new simulated plug in, its clock as given. */
export async function plugIn(day: number, minute: number): Promise<LivePlug> {
  const { id } = await ask('/api/plug', 'POST', { day: isoOf(day), minute });
  const url = `/api/plug/${id}`;
  const read = ({ state }: Answer): PlugState => ({
    ...state!,
    day: dayOf(state!.day),
    schedule: state!.schedule.map(entryOf),
    entry: state!.entry && entryOf(state!.entry),
  });
  const tell = async (order: PlugOrderFile) => read(await ask(url, 'PATCH', order));
  return {
    tell,
    state: async () => read(await ask(url, 'GET')),
    setSchedule: async (schedule) => void (await tell({ schedule: schedule.map((e) => ({ ...e, from: isoOf(e.from) })) })),
    setClock: async (to, at) => void (await tell({ clock: { day: isoOf(to), minute: at } })),
    close: async () => undefined,
  };
}

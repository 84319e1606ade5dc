import { dayFrom } from '../../core/units/day';
import { plugIn } from './livePlug';

const DAY = dayFrom(2027, 3, 1);
const STATE = {
  day: '2027-03-01',
  minute: 400,
  powered: true,
  on: false,
  schedule: [{ from: '2027-03-01', on_min: 360, lit_min: 840 }],
  entry: { from: '2027-03-01', on_min: 360, lit_min: 840 },
};

/** A server that notes what it is asked and answers what it is told to. */
function serve(...answers: { status?: number; body: object }[]) {
  const asked: { url: string; method: string; body: unknown }[] = [];
  const spy = jest.spyOn(globalThis, 'fetch').mockImplementation((url, init) => {
    const { status = 200, body } = answers[Math.min(asked.length, answers.length - 1)]!;
    asked.push({ url: url as string, method: init!.method!, body: init!.body ? JSON.parse(init!.body as string) : null });
    return Promise.resolve(new Response(JSON.stringify(body), { status }));
  });
  return { asked, end: () => spy.mockRestore() };
}

const plugged = { body: { ok: true, id: 'p1' } };
const state = { body: { ok: true, state: STATE } };

test('a plug is put in with its clock, and its state is read with days as numbers', async () => {
  const server = serve(plugged, state);
  const plug = await plugIn(DAY, 400);
  expect(server.asked[0]).toEqual({ url: '/api/plug', method: 'POST', body: { day: '2027-03-01', minute: 400 } });
  const now = await plug.state();
  expect(server.asked[1]).toEqual({ url: '/api/plug/p1', method: 'GET', body: null });
  expect(now).toMatchObject({ day: DAY, minute: 400, schedule: [{ from: DAY, on_min: 360, lit_min: 840 }], entry: { from: DAY } });
  server.end();
});

test('a schedule, the clock and other orders are sent with days as text', async () => {
  const server = serve(plugged, { body: { ok: true, state: { ...STATE, entry: null } } });
  const plug = await plugIn(DAY, 0);
  await plug.setSchedule([{ from: DAY, on_min: 300, lit_min: 600, pause: null }]);
  await plug.setClock(DAY + 1, 61);
  expect((await plug.tell({ powered: false })).entry).toBeNull();
  expect(server.asked.slice(1).map(({ method, body }) => [method, body])).toEqual([
    ['PATCH', { schedule: [{ from: '2027-03-01', on_min: 300, lit_min: 600, pause: null }] }],
    ['PATCH', { clock: { day: '2027-03-02', minute: 61 } }],
    ['PATCH', { powered: false }],
  ]);
  server.end();
});

test('a plug that is gone is told from one that refuses', async () => {
  const gone = serve(plugged, { status: 404, body: { ok: false } });
  await expect((await plugIn(DAY, 0)).state()).rejects.toThrow('the plug is not there any more');
  gone.end();
  const refuses = serve(plugged, { status: 400, body: { ok: false } });
  await expect((await plugIn(DAY, 0)).state()).rejects.toThrow('the plug answered 400');
  refuses.end();
});

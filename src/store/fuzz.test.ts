import { fuzz } from '../../test/fuzz/fuzz';

test('changed files and requests are taken or refused, never fatal, never endless', async () => {
  const findings = await fuzz(60, 7, () => undefined);
  expect(findings.map((f) => `${f.reader}: ${f.why}\n${f.text.slice(0, 500)}`)).toEqual([]);
});

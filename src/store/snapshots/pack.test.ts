import { pack, unpack } from './pack';

test('a text comes back as it was, packed smaller than it is', async () => {
  const text = `${'leek, celery, µmol, 1 200\n'.repeat(4000)}end`;
  const packed = await pack(text);
  expect(packed.byteLength).toBeLessThan(text.length / 10);
  expect(await unpack(packed)).toBe(text);
  expect(await unpack(await pack(''))).toBe('');
});

test('a browser that cannot pack keeps the text itself, and what it kept is read by one that can', async () => {
  const { CompressionStream: known } = globalThis;
  Object.assign(globalThis, { CompressionStream: undefined });
  const plain = await pack('{"a":1}').finally(() => Object.assign(globalThis, { CompressionStream: known }));
  expect(new TextDecoder().decode(plain)).toBe('{"a":1}');
  expect(await unpack(plain)).toBe('{"a":1}');
});

test('damaged bytes are an error, not half a text', async () => {
  const packed = await pack('x'.repeat(10_000));
  await expect(unpack(packed.slice(0, packed.length - 9))).rejects.toThrow();
  const wrong = packed.slice();
  wrong[12]! ^= 0xff;
  await expect(unpack(wrong)).rejects.toThrow();
});

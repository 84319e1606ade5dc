import { listInList, readJson } from './readJson';

const codeOf = (text: string, deep = 4) => {
  const read = readJson(text, deep);
  return read.ok ? null : read.problems.map((p) => `${p.code} ${p.at}`).join();
};

test('brackets count for the depth, whatever kind they are; those within a text don’t', () => {
  expect(codeOf('{"a":{"b":[{"c":1}]}}')).toBeNull();
  expect(codeOf('{"a":{"b":[{"c":{}}]}}')).toBe('file/too-deep ');
  expect(codeOf('{"a":"[[[[[[{{{{"}')).toBeNull();
  // A quotation mark after a backslash does not end the text, one after two of them does.
  expect(codeOf(String.raw`{"a":"\"[[[[[["}`)).toBeNull();
  expect(codeOf(String.raw`{"a":"\\","b":{"c":{"d":{"e":{}}}}}`)).toBe('file/too-deep ');
  // What is closed is not deep any more.
  expect(codeOf(`[${Array.from({ length: 50 }, () => '{"a":{}}').join()}]`)).toBeNull();
});

test('a bomb of brackets is refused before it is built, and without running out of room', () => {
  expect(codeOf('['.repeat(2_000_000))).toBe('file/too-deep ');
});

test('where it breaks is told by its line, or that it ends too early', () => {
  expect(codeOf('{\n"a": 1,\n"b": ,\n"c": 2\n}')).toBe('file/not-json line 3');
  expect(codeOf('{"a": 1')).toBe('file/not-json the end');
  expect(codeOf('\uFEFF{"a": 1}')).toBeNull();
});

test('a list in a list is named by its place; lists of things that hold lists are not', () => {
  expect(codeOf('{"stands":[{"tiers":[[1]]}]}', 9)).toBe('file/list-in-list stands[0].tiers[0]');
  expect(codeOf('[[1]]')).toBe('file/list-in-list [0]');
  expect(listInList({ a: [{ b: [1, 2] }], c: null }, '')).toBeNull();
});

import { GLOSSARY, TERM_IDS, termOf } from './glossary';

test('every word is explained once, in plain sentences', () => {
  expect(GLOSSARY.map((t) => t.id).sort()).toEqual([...TERM_IDS].sort());
  for (const { plain, name } of GLOSSARY) {
    expect(plain).toMatch(/\.$/);
    const longest = Math.max(...plain.split(/[.:;] /).map((sentence) => sentence.split(' ').length));
    expect([name, longest <= 30]).toEqual([name, true]);
  }
});

test('the numbers of the glossary are those of the core', () => {
  expect(termOf('dli').typical).toContain('0.0036');
  expect(termOf('efficacy').typical).toContain('5.85');
  expect(termOf('foot-candle').typical).toContain('10.76');
});

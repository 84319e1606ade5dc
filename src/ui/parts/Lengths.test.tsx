import { lengthsIn } from './Lengths';

test.each([
  ['LED bar 5 cm, fluorescent 5–10 cm, incandescent 40 cm.', 'LED bar 2 in, fluorescent 2–4 in, incandescent 16 in.'],
  ['Nearly touching; a hand’s width; 30 cm or more', 'Nearly touching; a hand’s width; 12 in or more'],
  ['leaves 1 cm nearer or farther', 'leaves ½ in nearer or farther'],
  ['5 cmol, 450 nm and 60 % stay', '5 cmol, 450 nm and 60 % stay'],
])('%s', (cm, inches) => {
  expect(lengthsIn(cm, 'cm')).toBe(cm);
  expect(lengthsIn(cm, 'in')).toBe(inches);
});

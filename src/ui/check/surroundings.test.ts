import { isMaterial } from '@/core/things/material/materialLibrary';
import { FACES } from '@/core/light/room/Room';
import { IN_THE_OPEN } from '@/core/site/stand/Enclosure';
import { surroundingsOf, SURROUNDINGS, surroundingsWords } from './surroundings';

const inFaces = (change: Partial<typeof IN_THE_OPEN.faces>) => ({ ...IN_THE_OPEN, faces: { ...IN_THE_OPEN.faces, ...change } });

test('every usual place is made of materials that there are, and is known again', () => {
  for (const place of SURROUNDINGS) {
    for (const name of FACES) expect(isMaterial(place.faces[name])).toBe(true);
    expect(surroundingsOf({ ...IN_THE_OPEN, faces: place.faces })?.id).toBe(place.id);
    expect(surroundingsWords({ ...IN_THE_OPEN, faces: place.faces })).toBe(place.words);
  }
});

test('a place of one’s own is said by its sides', () => {
  expect(surroundingsWords(IN_THE_OPEN)).toBe('in the open');
  expect(surroundingsWords(inFaces({ left: 'foil' }))).toBe('kitchen foil, crumpled on 1 side');
  expect(surroundingsWords(inFaces({ left: 'foil', right: 'foil', floor: 'wire' }))).toBe('kitchen foil, crumpled on 2 sides');
  expect(surroundingsWords(inFaces({ left: 'foil', right: 'dark' }))).toBe('with sides of your own');
});

import { materialOf } from '@/core/things/material/materialLibrary';
import { FACES, type FaceName } from '@/core/light/room/Room';
import type { Enclosure } from '@/core/site/stand/Enclosure';

type Faces = Enclosure['faces'];

const faces = (floor: string, ceiling: string, left: string, right: string, front: string, back: string): Faces => ({
  floor,
  ceiling,
  left,
  right,
  front,
  back,
});

/** Places that people have, as a press each; every face can be changed afterwards. */
export const SURROUNDINGS: readonly { readonly id: string; readonly name: string; readonly words: string; readonly faces: Faces }[] = [
  { id: 'open', name: 'in the open', words: 'in the open', faces: faces('open', 'open', 'open', 'open', 'open', 'open') },
  { id: 'wire', name: 'wire rack', words: 'on an open wire rack', faces: faces('wire', 'wire', 'open', 'open', 'open', 'open') },
  {
    id: 'white-3',
    name: 'white sides and back',
    words: 'between white sides',
    faces: faces('white-card', 'open', 'white-card', 'white-card', 'open', 'white-card'),
  },
  {
    id: 'white-box',
    name: 'white all round',
    words: 'in a white box',
    faces: faces('white-card', 'white-card', 'white-card', 'white-card', 'white-card', 'white-card'),
  },
  { id: 'foil', name: 'foil all round', words: 'foil on all sides', faces: faces('wire', 'wire', 'foil', 'foil', 'foil', 'foil') },
  {
    id: 'shelf',
    name: 'wooden shelf',
    words: 'on a wooden shelf',
    faces: faces('pale-wood', 'pale-wood', 'pale-wood', 'pale-wood', 'open', 'pale-wood'),
  },
  { id: 'clear', name: 'clear box', words: 'in a clear box', faces: faces('clear', 'clear', 'clear', 'clear', 'clear', 'clear') },
];

const same = (a: Faces, b: Faces) => FACES.every((name) => a[name] === b[name]);

export const surroundingsOf = (enclosure: Enclosure) => SURROUNDINGS.find((p) => same(p.faces, enclosure.faces)) ?? null;

/** Where it stands, for the sentence. */
export function surroundingsWords(enclosure: Enclosure): string {
  const place = surroundingsOf(enclosure);
  if (place) return place.words;
  const closed = FACES.filter((name) => name !== 'floor' && enclosure.faces[name] !== 'open');
  const kinds = new Set(closed.map((name) => enclosure.faces[name]));
  const only = closed.length > 0 && kinds.size === 1 ? materialOf(enclosure.faces[closed[0]!]).name : null;
  return only ? `${only} on ${closed.length} ${closed.length === 1 ? 'side' : 'sides'}` : 'with sides of your own';
}

export const FACE_WORDS: Readonly<Record<FaceName, string>> = {
  left: 'left',
  right: 'right',
  back: 'back',
  front: 'front',
  ceiling: 'above',
  floor: 'floor',
};

import 'reflect-metadata';
import type { Lane } from '../../workers/light/light.pool';
import { emptySite } from '../site/newSite';
import { addSetUp, PLAIN_RECIPE, setDistance } from '../site/setUpVerbs';
import { changeSite, createSiteStore } from '../site/siteStore';
import { checkWatch } from './checkWatch';
import { createLightStore } from './lightStore';
import { createProfileStore } from './profileStore';

const later = () => new Promise((then) => setTimeout(then, 20));

/** A check with lanes that answer when they are told to. */
function watched() {
  const sites = createSiteStore(addSetUp(PLAIN_RECIPE, 's')(emptySite('en-GB')));
  const lights = createLightStore();
  const asked = { picture: 0, answers: 0 };
  let isOpen = false;
  let answer: () => void = () => undefined;
  const lane = (which: 'picture' | 'answers') =>
    ({
      answer: () => new Promise((then) => (asked[which]++, (answer = () => then({} as never)))),
      profile: () => (asked[which]++, new Promise(() => undefined)),
    }) as unknown as Lane;
  const watch = checkWatch(sites, lights, createProfileStore(), (which) => (isOpen ? lane(which) : null));
  return { ...watch, sites, lights, asked, open: () => (isOpen = true), answerIt: () => answer() };
}

test('nothing is worked out before somebody looks, nor before there is something that does it', async () => {
  const w = watched();
  const end = w.watch();
  await later();
  expect(w.asked).toEqual({ picture: 0, answers: 0 });
  w.open();
  end();
  w.begin(); // nobody looks any more
  await later();
  expect(w.asked).toEqual({ picture: 0, answers: 0 });
  w.watch();
  await later();
  expect(w.asked.picture).toBe(1);
});

test('the picture comes first, then what is found from it; two who look are one question', async () => {
  const w = watched();
  w.open();
  const ends = [w.watch(), w.watch()];
  await later();
  expect(w.asked).toEqual({ picture: 1, answers: 0 });
  w.answerIt();
  await later();
  expect(w.lights.getState().status).toBe('ready');
  expect(w.asked).toEqual({ picture: 1, answers: 1 });
  ends[0]!();
  changeSite(w.sites, 'nearer', setDistance('s', 0.1));
  await later();
  expect(w.asked.picture).toBe(2);
  w.answerIt();
  // With the last one who looks it is over, until somebody comes again: then both are asked, for the picture is there.
  ends[1]!();
  changeSite(w.sites, 'nearer', setDistance('s', 0.2));
  await later();
  expect(w.asked.picture).toBe(2);
  w.watch();
  await later();
  expect(w.asked.picture).toBe(3);
  w.end();
  changeSite(w.sites, 'nearer', setDistance('s', 0.3));
  await later();
  expect(w.asked.picture).toBe(3);
});

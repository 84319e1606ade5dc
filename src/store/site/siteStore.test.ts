import 'reflect-metadata';
import type { Site } from '../../core/site/stand/Site';
import { emptySite } from './newSite';
import { addSetUp, copyStand, PLAIN_RECIPE } from './setUpVerbs';
import { adoptSite, beginGesture, changeSite, createSiteStore, endGesture, redo, showStand, undo } from './siteStore';

const priced = (price_per_kWh: number) => (site: ReturnType<typeof emptySite>) => ({ ...site, price_per_kWh });
const open = () => createSiteStore(emptySite('en-GB'));
const price = (store: ReturnType<typeof open>) => store.getState().site.price_per_kWh;

test('each change is undone and done again', () => {
  const store = open();
  changeSite(store, 'a', priced(1));
  changeSite(store, 'b', priced(2));
  undo(store);
  expect(price(store)).toBe(1);
  undo(store);
  expect(price(store)).toBe(0.25);
  redo(store);
  redo(store);
  redo(store);
  expect(price(store)).toBe(2);
});

test('a gesture of many moves is one step', () => {
  const store = open();
  beginGesture(store, 'drag');
  for (let i = 1; i <= 40; i++) changeSite(store, 'drag', priced(i));
  endGesture(store);
  expect(store.getState().past.map((s) => s.what)).toEqual(['drag']);
  undo(store);
  expect(price(store)).toBe(0.25);
});

test('a gesture within a gesture belongs to it', () => {
  const store = open();
  beginGesture(store, 'drag');
  changeSite(store, 'drag', priced(1));
  beginGesture(store, 'nudge');
  changeSite(store, 'nudge', priced(2));
  endGesture(store);
  expect(store.getState().past.map((s) => s.what)).toEqual(['drag']);
  undo(store);
  expect(price(store)).toBe(0.25);
});

test('a gesture that changes nothing is no step and forgets nothing', () => {
  const store = open();
  changeSite(store, 'a', priced(1));
  undo(store);
  beginGesture(store, 'touch');
  endGesture(store);
  expect(store.getState().past).toHaveLength(0);
  redo(store);
  expect(price(store)).toBe(1);
});

test('a new change after undoing ends what could be done again', () => {
  const store = open();
  changeSite(store, 'a', priced(1));
  undo(store);
  changeSite(store, 'b', priced(3));
  redo(store);
  expect(price(store)).toBe(3);
});

test('a change that could not be read back is not made, and told; nor is a gesture that ends in one', () => {
  const store = open();
  changeSite(store, 'a', priced(1));
  expect(changeSite(store, 'break it', priced(-1))).toBe(false);
  expect(price(store)).toBe(1);
  expect(store.getState().refused).toMatchObject({ what: 'break it', problems: [{ at: 'price_per_kWh' }] });
  expect(store.getState().past.map((s) => s.what)).toEqual(['a']);
  beginGesture(store, 'drag');
  changeSite(store, 'drag', priced(5));
  expect(changeSite(store, 'drag', priced(-2))).toBe(true); // found out when it ends
  endGesture(store);
  expect(price(store)).toBe(1);
  expect(store.getState()).toMatchObject({ inGesture: false, refused: { what: 'drag' } });
  expect(store.getState().past.map((s) => s.what)).toEqual(['a']);
});

test('while a hand holds something nothing is undone or done again; letting go of nothing is nothing', () => {
  const store = open();
  changeSite(store, 'a', priced(1));
  changeSite(store, 'b', priced(2));
  undo(store);
  beginGesture(store, 'drag');
  undo(store);
  redo(store);
  expect(price(store)).toBe(1);
  endGesture(store);
  const before = store.getState();
  endGesture(store);
  expect(store.getState()).toBe(before);
  redo(store);
  expect(price(store)).toBe(2);
});

test('a change that changes nothing is no step; another stand alone is one, that undo takes back', () => {
  const store = createSiteStore(copyStand('s', 'c')(addSetUp(PLAIN_RECIPE, 's')(emptySite('en-GB'))));
  expect(changeSite(store, 'nothing', (s) => s)).toBe(true);
  expect(store.getState().past).toEqual([]);
  expect(changeSite(store, 'show', (s) => s, 'c')).toBe(true);
  expect([store.getState().activeId, store.getState().past.length]).toEqual(['c', 1]);
  undo(store);
  expect(store.getState().activeId).toBe('s');
  showStand(store, 'c');
  showStand(store, 'not there');
  expect(store.getState().activeId).toBe('c');
});

test('what was taken over from elsewhere stays when what was done here is undone; a stand that is gone is shown no longer', () => {
  const store = createSiteStore(copyStand('s', 'c')(addSetUp(PLAIN_RECIPE, 's')(emptySite('en-GB'))));
  showStand(store, 'c');
  changeSite(store, 'a', priced(1));
  const elsewhere = (s: Site): Site => ({ ...s, currency: 'SEK', stands: s.stands.filter((x) => x.id !== 'c') });
  adoptSite(store, elsewhere(store.getState().site), elsewhere);
  expect(store.getState().activeId).toBe('s');
  undo(store);
  expect([price(store), store.getState().site.currency, store.getState().site.stands.length]).toEqual([0.25, 'SEK', 1]);
  redo(store);
  expect([price(store), store.getState().site.currency]).toEqual([1, 'SEK']);
});

test('a step whose site cannot stand any more is not taken, and told', () => {
  const store = open();
  changeSite(store, 'a', priced(1));
  changeSite(store, 'b', priced(2));
  undo(store);
  // Elsewhere a price came about that this way back and forward does not bear.
  adoptSite(store, store.getState().site, (s) => ({ ...s, price_per_kWh: -s.price_per_kWh }));
  undo(store);
  expect([price(store), store.getState().refused?.what]).toEqual([1, 'a']);
  redo(store);
  expect([price(store), store.getState().refused?.what]).toEqual([1, 'b']);
});

test('two hundred steps can be undone, the oldest are forgotten', () => {
  const store = open();
  for (let i = 1; i <= 230; i++) changeSite(store, `${i}`, priced(i));
  expect([store.getState().past.length, store.getState().past[0]!.what]).toEqual([200, '31']);
  for (let i = 0; i < 250; i++) undo(store);
  expect(price(store)).toBe(30);
});

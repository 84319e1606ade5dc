import { emptySite } from './newSite';
import { beginGesture, changeSite, createSiteStore, endGesture, redo, undo } from './siteStore';

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

import { cropLibrary } from '@/core/things/crop/cropLibrary';
import { lampLibrary } from '@/core/things/lamp/lampLibrary';
import type { Site } from '@/core/site/stand/Site';
import { benchStandIn } from '@/store/bench/benchStandIn';
import { trayName } from '../bench/benchWords';
import type { SearchItem } from '../parts/SearchList';
import { GLOSSARY } from '../terms/glossary';
import { kindPath } from '../lamps/lampPaths';
import { STAND_PARTS, standPath } from '../stands/places';

const PLACES: readonly (readonly [string, string, readonly string[]])[] = [
  ['/today', 'Today', ['jobs', 'to do', 'walk']],
  ['/today/journal', 'Journal', ['log', 'notes', 'history']],
  ['/today/away', 'While you are away', ['trip', 'holiday', 'hand over', 'sitter']],
  ['/check', 'Check', ['lamp', 'tray']],
  ['/stands', 'Stands', ['overview', 'set-ups']],
  ['/stands/compare', 'Two stands side by side', ['compare', 'variant']],
  ['/stands/places', 'Places at home', ['where', 'window', 'months', 'map', 'houseplant', 'best place']],
  ['/season', 'Season', ['plan', 'batches', 'sowing dates', 'frost']],
  ['/season/list', 'Sowing list', ['seed', 'compost', 'pots', 'labels']],
  ['/season/crops', 'Crops', ['plants']],
  ['/season/trials', 'Trials', ['compare', 'experiment', 'test']],
  ['/lamps', 'My lamps', ['own', 'hours', 'age', 'dimmer', 'retired', 'replace']],
  ['/lamps/library', 'Lamp library', ['kinds', 'table']],
  ['/lamps/capacity', 'What my lamps can serve', ['capacity', 'crops', 'one more mole', 'more light', 'enough']],
  ['/lamps/compare', 'Compare lamps', ['cost', 'price', 'money', 'buy']],
  ['/lamps/box', 'Box check', ['advert', 'watts', 'equivalent']],
  ['/lamps/safety', 'Safety', ['caution', 'mains', 'water', 'load', 'weight']],
  ['/lamps/bill', 'The bill', ['cost', 'electricity', 'kwh', 'meter']],
  ['/season/feed', 'Feed', ['fertiliser', 'dilution', 'EC', 'can']],
  ['/clinic', 'Clinic', ['wrong', 'leggy', 'sick', 'diagnosis']],
  ['/clinic/practice', 'Practice', ['exercise', 'learn', 'train', 'simulate', 'game']],
  ['/settings/stand-ins', 'Stand-ins', ['driver', 'simulated', 'meter', 'plug', 'sky', 'device']],
  ['/settings', 'Settings', ['units', 'currency', 'theme', 'quiet hours']],
  ['/words', 'Words and reasons', ['glossary', 'terms', 'explain', 'PPFD', 'DLI']],
  ['/settings/data', 'Your data', ['phone', 'another device', 'photos', 'backup', 'restore', 'export', 'import', 'save']],
];

/** Everything that one can go to: the id of each is its address. */
export function goItems(site: Site): readonly SearchItem[] {
  const item = (id: string, name: string, group: string, detail = '', words: readonly string[] = []): SearchItem => ({ id, name, group, detail, words }); // prettier-ignore
  return [
    ...PLACES.map(([at, name, words]) => item(at, name, 'Places', '', words)),
    ...site.stands.flatMap((s) => STAND_PARTS.map(({ part, label }) => item(standPath(s.id, part), s.name, 'Stands', label))),
    ...site.stands.flatMap((s) =>
      benchStandIn(site, s).tiers.flatMap((t) =>
        t.trays.map((y) => {
          const where = s.tiers.length > 1 ? `${s.name}, tier ${t.number}` : s.name;
          return item(`/tray/${encodeURIComponent(y.tray.id)}`, trayName(y), 'Trays', where, [y.crop.name, ...y.crop.alsoCalled]);
        }),
      ),
    ),
    ...GLOSSARY.map((t) => item(`/words#${t.id}`, t.name, 'Words', t.long ?? '', t.unit ? [t.unit] : [])),
    ...[...site.crops, ...cropLibrary].map((c) =>
      item(`/season/crops?crop=${encodeURIComponent(c.id)}`, c.name, 'Crops', '', c.alsoCalled),
    ),
    ...[...site.lamps, ...lampLibrary].map((l) => item(kindPath(l.id), l.name, 'Lamps', `${l.power} W`, [l.family])),
  ];
}

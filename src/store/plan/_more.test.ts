import 'reflect-metadata';
import { RANDOM_DAY, randomSite } from '../../../test/randomSite';
import { isoOf } from '../../core/units/day';
import { exportSite } from '../files/exportSite';
import { planText } from './planText';
const day = isoOf(RANDOM_DAY);
test('more', async () => {
  let bad = 0, offers = 0, shaded = 0;
  for (let seed = 300; seed < 340; seed++) {
    const p: any = await planText(exportSite(randomSite(seed)), ['--day', day, '--only', 'trays,offers'], 0);
    for (const stand of p.stands) for (const { offers: all } of stand.advice) for (const o of all.slice(0, 4)) {
      offers++;
      const q: any = await planText(JSON.stringify(o.site), ['--day', day, '--only', 'trays'], 0);
      const after = q.stands.find((s: any) => s.standId === stand.standId) ?? q.stands[0];
      for (const t of o.promised.trays) { const f = after.trays.find((x: any) => x.trayId === t.trayId);
        for (const s of ['weakest', 'mean', 'strongest']) { const [a, b] = [t.dli_mol_per_m2_d[s], f.dli_mol_per_m2_d[s].value]; if (Math.abs(a - b) > Math.max(1e-3, 0.01 * Math.abs(b))) { bad++; console.log(seed, o.id, t.trayId, s, a, b); } }
        if (t.says !== f.says) { bad++; console.log(seed, 'says', t.says, f.says); } }
    }
  }
  console.log({ bad, offers, shaded });
}, 900000);

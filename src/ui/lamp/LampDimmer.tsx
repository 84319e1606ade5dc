'use client';
import type { SetUp } from '@/core/answer/stand/setUp';
import type { OwnLamp } from '@/core/site/lamp/OwnLamp';
import { addOwnLamps, changeOwnLamp, plainOwnLamp } from '@/core/site/ownLamps/changeOwnLamps';
import { dimmingsOf } from '@/core/site/ownLamps/dimmings';
import { turnDimmers } from '@/core/site/ownLamps/turnDimmers';
import type { Site } from '@/core/site/stand/Site';
import { FULL, nearestSetting, type Dimmer } from '@/core/things/lamp/dimming';
import { newId } from '@/store/names/newId';
import { changeSite } from '@/store/site/siteStore';
import { nameForNew } from '../lamps/knownOwnLamps';
import { useWorkspace } from '../shell/WorkspaceContext';
import { DimField } from './DimField';
import { DimmerKindField } from './DimmerKindField';

/** The dimmer of the lamps of a set-up, and its setting. Lamps with one are things of one's own from then on. */
export function LampDimmer({ setUp }: { setUp: SetUp }) {
  const { sites } = useWorkspace();
  const { tier } = setUp;
  const dimmer = dimmingsOf(tier.fittings).length > 0 ? tier.fittings[0]!.own!.dimmer : null;
  return (
    <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
      <DimmerKindField
        dimmer={dimmer}
        onChange={(next) => changeSite(sites, 'change the dimmer', (site) => withDimmer(site, setUp, next))}
      />
      {dimmer && (
        <DimField
          dimmer={dimmer}
          value={tier.fittings[0]!.dim ?? FULL}
          onChange={(dim) => changeSite(sites, 'dim the lamps', turnDimmers(new Map([[tier.id, nearestSetting(dimmer, dim)]])))}
        />
      )}
    </div>
  );
}

/** All lamps of a set-up with the same dimmer at full light; those that are no things of their own yet become some. */
const withDimmer = (before: Site, { tier }: SetUp, dimmer: Dimmer | null): Site =>
  tier.fittings.reduce(
    (site, { id, lampId, own }) => {
      if (own) return changeOwnLamp(own.id, { dimmer })(site);
      if (!dimmer) return site;
      const lamp: OwnLamp = { ...plainOwnLamp(newId(), lampId, nameForNew(site, lampId)), fittingId: id, dimmer };
      return addOwnLamps([lamp])(site);
    },
    turnDimmers(new Map([[tier.id, FULL]]))(before),
  );

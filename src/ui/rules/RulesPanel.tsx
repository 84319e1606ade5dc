'use client';
import { distanceOf } from '@/core/site/reading/Reading';
import { dliOf } from '@/core/judge/dli/dli';
import { colourOf } from '@/core/things/lamp/colourOf';
import { HAND_WIDTH, inverseSquare, LUMENS_RULE, lumensRule } from '@/core/answer/rules/rulesOfThumb';
import { atDistance, type Profile } from '@/core/answer/solve/Profile';
import { plantAreaOf } from '@/core/site/stand/footprint';
import { measuredLamp, type SetUp } from '@/core/answer/stand/setUp';
import { showLength } from '@/core/units/length';
import { Fold } from '../parts/Fold';
import { useProfile, useSettings } from '../shell/WorkspaceContext';
import { dliNumber } from '../drawing/lightWords';
import { FallOffChart } from './FallOffChart';
import { wholeWords } from '../parts/locale';

/** What the rules of thumb would say here, and why they part from the computed answer. */
export function RulesPanel({ setUp }: { setUp: SetUp }) {
  const profile = useProfile();
  return <Fold title="Compare with rules of thumb">{profile && <Rules setUp={setUp} profile={profile} />}</Fold>;
}

function Rules({ setUp, profile }: { setUp: SetUp; profile: Profile }) {
  const { lengthUnit } = useSettings();
  const { tier, stage, hours, calibration } = setUp;
  const lamp = measuredLamp(setUp);
  const area = tier.trays.map(plantAreaOf).reduce((sum, a) => sum + (a.x1 - a.x0) * (a.y1 - a.y0), 0);
  const lumens = lumensRule(lamp.ppf * colourOf(lamp).luxPerUmol * tier.fittings.length, tier.fittings.length, area);
  const hand = atDistance(profile, Math.max(HAND_WIDTH, profile[0]!.distance));
  const handDose = { weakest: dliOf(hand.weakest, hours), strongest: dliOf(hand.strongest, hours) };
  const central = calibration?.used.find((c) => Math.hypot(c.reading.dx, c.reading.dy) < 0.02);
  const square = inverseSquare(profile, central ? { distance: distanceOf(central.reading), ppfd: central.measured } : null, stage, hours);
  const enough = lumens.lumensPerArea >= LUMENS_RULE.low;
  const handSays =
    handDose.strongest > stage.dliMax || hand.strongest > stage.ppfdMax
      ? 'too much light below the lamp'
      : handDose.weakest < stage.dliMin
        ? 'too little light at the edge'
        : 'in range';
  const bare = lamp.shape === 'bulb-bare' || lamp.shape === 'tube-bare';
  return (
    <>
      <Rule
        title="Lumens on the tray"
        advice={`${wholeWords(lumens.lumensPerArea)} lm/m² here; the rule asks for ${wholeWords(LUMENS_RULE.low)}–${wholeWords(LUMENS_RULE.high)} (2000–3000 for each square foot): ${enough ? 'enough' : `about ${Math.ceil(lumens.lampsAsked)} of these lamps`}.`}
        why={`It counts the eye’s light, and all that leaves the lamp as if it landed on the tray; it knows neither hours nor distance.${bare ? ' A bare lamp sends half of it upwards.' : ''}`}
      />
      <Rule
        title="A hand’s width away"
        advice={`At ${showLength(HAND_WIDTH, lengthUnit)} this tray gets ${dliNumber(handDose.weakest)}–${dliNumber(handDose.strongest)} mol in these hours: ${handSays}.`}
        why="This rule was made for fluorescent tubes. A stronger lamp burns plants at this distance; a bulb leaves the corners with too little light."
      />
      <Rule
        title="Twice as far, a quarter of the light"
        advice={`From ${Math.round(square.anchor.ppfd)} µmol at ${showLength(square.anchor.distance, lengthUnit)} (${central ? 'your reading' : 'computed'}) it would hang the lamp ${showLength(square.advises, lengthUnit)} above the leaves${square.really === null ? '; no distance here really gives that strength below the middle' : `; that strength is really at ${showLength(square.really, lengthUnit)}`}.`}
        why={
          square.holdsFrom === null
            ? 'It is true of a small source far away; under this lamp it does not hold anywhere within two metres.'
            : `It is true of a small source far away: here within 10 % from ${showLength(square.holdsFrom, lengthUnit)} on. Nearer, the light falls more slowly than it says.`
        }
      />
      <FallOffChart setUp={setUp} profile={profile} anchor={square.anchor} />
    </>
  );
}

function Rule({ title, advice, why }: { title: string; advice: string; why: string }) {
  return (
    <div>
      <h3 className="font-semibold">{title}</h3>
      <p>{advice}</p>
      <p className="text-sm text-soft">{why}</p>
    </div>
  );
}

import { isRoundShape } from '@/core/things/lamp/isRound';
import type { LampBox } from '@/core/things/lamp/lampFromBox';
import type { LampShape } from '@/core/things/lamp/Lamp';
import type { Problem } from '@/core/units/result';
import { Group } from '../parts/Group';
import { LengthField } from '../parts/LengthField';
import { MaybeNumberField } from '../parts/MaybeNumberField';
import { NumberField } from '../parts/NumberField';
import { Segments } from '../parts/Segments';
import { LampProblem } from './LampProblem';
import { BEAM_BY_SHAPE, usualSizeOf } from './startingBox';

const SHAPES: readonly { value: LampShape; label: string }[] = [
  { value: 'bar', label: 'bar, or tape in lines' },
  { value: 'tube-bare', label: 'bare tube' },
  { value: 'tube-reflector', label: 'tube in reflector' },
  { value: 'panel', label: 'panel' },
  { value: 'round-panel', label: 'round panel' },
  { value: 'coil', label: 'LED strip wound in a spiral' },
  { value: 'bulb-bare', label: 'bare bulb' },
  { value: 'bulb-reflector', label: 'bulb or spot in reflector' },
];

/** The shape and size of what shines. */
export function LampShapeFields({
  box,
  change,
  problem,
}: {
  box: LampBox;
  change(part: Partial<LampBox>): void;
  problem(at: string): Problem | undefined;
}) {
  const round = isRoundShape(box.shape);
  const measured = box.shape === 'measured';
  return (
    <Group title="Its shape">
      <Segments
        label="Shape"
        value={box.shape}
        options={box.measured ? [...SHAPES, { value: 'measured', label: 'as its file says' }] : SHAPES}
        onChange={(shape) =>
          change({
            shape,
            beam_deg: BEAM_BY_SHAPE[shape],
            // Another shape is another size; what was typed for this one is kept when it is pressed again.
            ...(shape === box.shape || shape === 'measured' ? {} : usualSizeOf(shape)),
            emitters: isRoundShape(shape) || shape === 'measured' ? 1 : box.emitters,
            ...(shape !== 'measured' && box.believe === 'photometry' ? { believe: 'lumens' } : {}),
          })
        }
      />
      <div className="flex flex-wrap gap-4">
        {!round && (
          <LengthField label="lit length" value={box.length} min={measured ? 0 : 0.01} max={3} onChange={(length) => change({ length })} />
        )}
        <LengthField
          label={round ? 'diameter of the lit face' : 'lit width'}
          value={box.width}
          min={measured ? 0 : 0.005}
          max={2}
          onChange={(width) => change({ width, ...(round ? { length: width } : {}) })}
        />
        {box.shape === 'coil' && (
          <LengthField label="inner diameter" value={box.hole} min={0} max={2} onChange={(hole) => change({ hole })} />
        )}
        {!round && !measured && (
          <NumberField
            label={box.shape === 'bar' ? 'number of LED rows' : 'tubes or rows'}
            value={box.emitters}
            min={1}
            max={12}
            whole
            inputClassName="w-16"
            onChange={(emitters) => change({ emitters })}
          />
        )}
        {box.shape === 'panel' && (
          <>
            <MaybeNumberField
              label="diodes along it, if few"
              value={box.diodes?.columns ?? null}
              min={1}
              max={40}
              onChange={(columns) => change({ diodes: columns === null ? null : { rows: 1, ...box.diodes, columns: Math.round(columns) } })}
            />
            {box.diodes && (
              <NumberField
                label="across it"
                value={box.diodes.rows}
                min={1}
                max={40}
                whole
                inputClassName="w-16"
                onChange={(rows) => change({ diodes: { columns: 1, ...box.diodes, rows } })}
              />
            )}
          </>
        )}
        {box.beam_deg !== null && (
          <NumberField
            label="beam angle"
            unit="°"
            value={box.beam_deg}
            min={5}
            max={170}
            inputClassName="w-16"
            onChange={(beam_deg) => change({ beam_deg })}
          />
        )}
      </div>
      <LampProblem problem={problem('hole')} />
    </Group>
  );
}

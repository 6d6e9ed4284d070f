import { View } from 'react-native';
import type { Painting, Spot } from '@/core/painting';
import { sameSpot } from '@/core/painting';
import type { Draft, NumberBinding, TextBinding } from '@/forms';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Stepper } from '@/ui/Stepper';
import { space } from '@/ui/tokens';

/** Parts and spots of some passages that have a name already, each once. */
export function knownParts(painting: Painting, passageIds: string[]): Spot[] {
  const parts: Spot[] = [];
  const add = (spot: Spot | null): void => {
    if (spot && !parts.some((p) => sameSpot(p.name, spot.name))) parts.push(spot);
  };
  for (const event of painting.events) {
    if (event.kind === 'laid' && event.passageIds.some((id) => passageIds.includes(id)))
      add(event.spot);
    if (event.kind === 'reduced' && passageIds.includes(event.passageId) && event.spotName)
      add({ name: event.spotName, share: event.share ?? 0.05 });
  }
  return parts;
}

/** The name of a part that nobody named: the first that is free. */
export function freeName(known: { name: string }[]): string {
  let n = 1;
  while (known.some((p) => sameSpot(p.name, `part ${n}`))) n += 1;
  return `part ${n}`;
}

const HALF = 0.5;

interface Props {
  spot: Draft<Spot> | null;
  onChange: (spot: Draft<Spot> | null) => void;
  name: TextBinding;
  share: NumberBinding;
  known: Spot[];
  /** Some of it lies there already: what is left is all the rest. */
  rest: boolean;
  label?: string;
}

/** How much of it is done: all, half, or a part with a name and a rough share. */
export function PartFields({
  spot,
  onChange,
  name,
  share,
  known,
  rest,
  label = 'How much of it',
}: Props) {
  const isHalf =
    spot !== null && spot.share === HALF && String(spot.name).startsWith('part ') === true;
  const named = known.find((p) => spot !== null && sameSpot(p.name, String(spot.name)));
  return (
    <View>
      <Choice
        label={label}
        options={[
          { key: 'all', name: rest ? 'all the rest' : 'all of it' },
          { key: 'half', name: 'half' },
          { key: 'part', name: 'a part or spot' },
        ]}
        value={spot === null ? 'all' : isHalf ? 'half' : 'part'}
        onChange={(key) =>
          onChange(
            key === 'all'
              ? null
              : key === 'half'
                ? { name: freeName(known), share: HALF }
                : { name: 'highlights', share: 0.05 },
          )
        }
      />
      {spot && !isHalf ? (
        <>
          {known.length > 0 ? (
            <Choice
              label="One that is there"
              options={known.map((p) => ({
                key: p.name,
                name: `${p.name}, ${Math.round(p.share * 100)} %`,
              }))}
              value={named?.name ?? null}
              onChange={(key) => onChange(known.find((p) => p.name === key)!)}
            />
          ) : null}
          <View
            style={{
              flexDirection: 'row',
              flexWrap: 'wrap',
              gap: space.m,
              alignItems: 'flex-end',
            }}
          >
            <View style={{ flexGrow: 1, flexBasis: 140 }}>
              <Field label="The part, as you call it" {...name} />
            </View>
            <View style={{ marginBottom: space.m }}>
              <Stepper
                label="Its share of the passage"
                unit="%"
                step={5}
                min={1}
                max={100}
                {...share}
              />
            </View>
          </View>
        </>
      ) : null}
    </View>
  );
}

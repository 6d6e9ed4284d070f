import type { Left } from '@/data/applications';
import type { Form } from '@/forms';
import { Choice } from '@/ui/Choice';
import type { Spot } from '@/core/painting';
import { PartFields } from './PartFields';
import type { RemovalForm } from './removal-form';

/** Paint that is being laid, and is not noted yet. */
export interface InHand {
  coatId: string;
  name: string;
  passageIds: string[];
}

export const ALONE = 'alone';
const LEFT_OPTIONS: { key: Left | typeof ALONE; name: string }[] = [
  { key: ALONE, name: 'left alone' },
  { key: 'nothing', name: 'clean' },
  { key: 'trace', name: 'a trace' },
  { key: 'half', name: 'half left' },
];
const OUT_OPTIONS: typeof LEFT_OPTIONS = [
  { key: ALONE, name: 'left alone' },
  { key: 'half', name: 'painted out' },
];
/** The paint in hand, as far as it has got, or what lay there before. */
export function OnWhat({
  form,
  inHand,
  known,
}: {
  form: Form<RemovalForm>;
  inHand: InHand;
  /** Parts that have a name already. */
  known: Spot[];
}) {
  const { onHand, laid } = form.draft;
  return (
    <>
      <Choice
        label="What it acts on"
        options={[
          { key: 'hand', name: `the paint in hand: ${inHand.name.toLowerCase()}` },
          { key: 'before', name: 'what lay there before' },
        ]}
        value={onHand ? 'hand' : 'before'}
        onChange={(key) => form.put('onHand', key === 'hand')}
      />
      {onHand ? (
        <PartFields
          spot={laid}
          onChange={(spot) => form.put('laid', spot)}
          name={form.text('laid.name')}
          share={form.number('laid.share', 'percent')}
          known={known}
          rest={false}
          label={`${inHand.name} laid so far`}
        />
      ) : null}
    </>
  );
}

/** What is left on one place. */
export function LeftOn({
  name,
  how,
  left,
  onChange,
}: {
  name: string;
  how: RemovalForm['how'];
  left: Left | undefined;
  onChange: (left: Left | typeof ALONE) => void;
}) {
  const out = how === 'painted-out';
  return (
    <Choice
      label={name}
      options={out ? OUT_OPTIONS : LEFT_OPTIONS}
      value={left === undefined ? ALONE : out ? 'half' : left}
      onChange={onChange}
    />
  );
}
